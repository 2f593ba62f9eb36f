<script setup lang="ts">
import type { AccountView } from '#schemas/evidence-views'

/** One account: written by its apprentice, read claim by claim by an assessor. */
definePageMeta({ layout: 'bay', roles: ['apprentice', 'instructor', 'assessor', 'verifier'] })
const id = Number(useRoute().params.id)
const account = useKeptDocument<AccountView>({
  path: `accounts/${id}`,
  what: 'Account of work elsewhere',
  shape: 'withoutEmpty',
})
onMounted(account.load)
</script>

<template>
  <div class="page">
    <PageProblem v-if="account.problem.value" :problem="account.problem.value" @retry="account.load" />
    <div v-else-if="!account.view.value" class="skeleton" style="height: 340px" />
    <AccountWriting v-else-if="account.view.value.isOwn" :id="id" :account="account" />
    <AccountReading v-else :id="id" :account="account" />
  </div>
</template>
