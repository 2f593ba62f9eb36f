<script setup lang="ts">
import { useSession } from '~/stores/session'

const session = useSession()
const { callOnce } = useApi()
const route = useRoute()
const { isUp } = usePageTurn()
useIdleLock(session, { path: () => route.path, lock: () => callOnce('POST', 'lock', {}) })
</script>

<template>
  <NuxtLayout>
    <NuxtPage v-if="isUp" />
  </NuxtLayout>
  <NewerVersion />
  <LazyProveAgain v-if="session.isLocked || session.isAsked" />
  <LazySignInAgain v-if="session.ended" />
</template>
