<script setup lang="ts">
import { useSession } from '~/stores/session'

const session = useSession()
</script>

<template>
  <NuxtLayout>
    <NuxtPage />
  </NuxtLayout>
  <NewerVersion />
  <SignInAgain v-if="session.ended" />
</template>
