<script setup lang="ts">
import { useSession } from '~/stores/session'

const session = useSession()
useIdleLock()
</script>

<template>
  <NuxtLayout>
    <NuxtPage />
  </NuxtLayout>
  <NewerVersion />
  <ProveAgain v-if="session.isLocked || session.isAsked" />
  <SignInAgain v-if="session.ended" />
</template>
