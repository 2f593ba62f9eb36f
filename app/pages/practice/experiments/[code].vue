<script setup lang="ts">
import type { ExperimentHead } from '#schemas/bay-views'

definePageMeta({
  layout: 'bay',
  roles: ['apprentice', 'instructor', 'assessor'],
  key: (route) => String(route.params.code),
})
const code = String(useRoute().params.code)
const { data, problem, refresh } = useServer<ExperimentHead[]>(() => 'experiments')
const trial = computed(() => data.value?.find((head) => head.code === code))
watch(data, () => {
  if (data.value && !trial.value)
    showError({ statusCode: 404, statusMessage: 'There is no such experiment.' })
})
</script>

<template>
  <ExperimentDesk v-if="trial" :trial="trial" />
  <div v-else class="page stack">
    <PageProblem v-if="problem" :problem="problem" @retry="refresh" />
    <div v-for="i in 4" :key="i" class="skeleton" style="height: 60px" />
  </div>
</template>
