<script setup lang="ts">
import { useSession } from '~/stores/session'

const session = useSession()
</script>

<template>
  <NuxtLayout>
    <NuxtPage />
  </NuxtLayout>
  <SignInAgain v-if="session.ended" />
</template>
