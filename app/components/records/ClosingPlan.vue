<script setup lang="ts">
import type { ClosingPlan } from '#core/assessment/closing/plan'
import type { ClosingProblem } from '#core/assessment/closing/problem'
import { fillsSays, secondSays } from '#words/evidence/closing'
import type { ClosingOffer } from '~/workers/closing.worker'

/** Which exercises close most, for whom and in which order, within bays and hours. */
const { cohort } = defineProps<{ cohort: string }>()
const { call } = useApi()
const { isBusy, act } = useAct()
const { call: inWorker, stop } = useWorker<ClosingOffer>(
  () => new Worker(new URL('../../workers/closing.worker.ts', import.meta.url), { type: 'module' }),
)
const mayPlan = ['instructor', 'assessor'].includes(useSession().person!.role)
const limits = reactive({ bays: 8, hours: 3 })
const problem = shallowRef<ClosingProblem | null>(null)
const plan = shallowRef<ClosingPlan | null>(null)
const state = ref<'' | 'first' | 'best' | 'found'>('')
watch(
  () => cohort,
  () => {
    stop()
    plan.value = null
    state.value = ''
  },
)

const compute = () =>
  act(async () => {
    plan.value = null
    problem.value = await call<ClosingProblem>('GET', `closing?cohort=${encodeURIComponent(cohort)}`)
    state.value = 'first'
    const onFirst = callable((first: ClosingPlan) => (plan.value = first))
    const best = await inWorker((worker) => worker.close(problem.value!, plain(limits), onFirst)).catch(
      (error: unknown) => {
        if (error instanceof WorkerFailure && error.reason === 'stopped' && plan.value) return null
        throw error
      },
    )
    if (best === null) {
      state.value = 'found'
      return
    }
    plan.value = best.plan
    state.value = best.isProved ? 'best' : 'found'
  })

/** What was worked out becomes a session: everybody with their exercises. */
const planSession = () =>
  act(async () => {
    const tasks = plan.value!.tasks.map(({ person, exercise }) => ({ person, exercise }))
    const { id } = await call<{ id: number }>('POST', 'planning', { cohort, tasks })
    await navigateTo(`/plan/${id}`)
  })

const STATE_TEXT = {
  '': '',
  first: 'A first plan stands; the best is being looked for.',
  best: 'Nothing closes more within these bays and hours.',
  found: 'The best that was found in time; there may be a better one.',
} as const
const exerciseOf = (id: number) => problem.value!.exercises.find((one) => one.id === id)!
const rows = computed(() =>
  (problem.value?.people ?? []).flatMap(({ id, name }) => {
    const tasks = plan.value?.tasks.filter(({ person }) => person === id) ?? []
    return tasks.length > 0 ? [{ id, name, tasks }] : []
  }),
)
const usual = computed(() => {
  const counts = new Map<number, string[]>()
  for (const { name, tasks } of rows.value)
    for (const { exercise } of tasks) counts.set(exercise, [...(counts.get(exercise) ?? []), name])
  return [...counts].sort(([, a], [, b]) => b.length - a.length)
})
</script>

<template>
  <section class="stack" aria-label="What closes most">
    <div class="row spread">
      <div>
        <h2>What closes most</h2>
        <p class="soft small">
          Exercises of this centre for this group, within the bays and hours there are.
        </p>
      </div>
      <div class="row">
        <label class="row"
          >Bays <el-input-number v-model="limits.bays" :min="1" :max="60" aria-label="Bays"
        /></label>
        <label class="row"
          >Hours <el-input-number v-model="limits.hours" :min="1" :max="60" aria-label="Hours"
        /></label>
        <el-button type="primary" :loading="isBusy" data-testid="close-most" @click="compute"
          >Work it out</el-button
        >
      </div>
    </div>
    <p v-if="state" role="status" class="soft" data-testid="closing-state">{{ STATE_TEXT[state] }}</p>
    <SearchProgress
      v-if="state === 'first' && plan"
      :seconds="CLOSING_LONGEST_S"
      said="Looking for a better one"
      @stop="stop"
    />
    <p v-if="plan && rows.length === 0" class="soft">
      No exercise here closes anything that is still open, or each has been done. Work elsewhere may.
    </p>
    <template v-else-if="plan">
      <el-button
        v-if="mayPlan"
        class="start"
        :loading="isBusy"
        data-testid="closing-session"
        @click="planSession"
        >Plan a session with it</el-button
      >
      <p data-testid="closing-tasks">
        <span v-for="[exercise, names] in usual" :key="exercise" class="tag plain pick"
          ><b>{{ exerciseOf(exercise).code }}</b> {{ exerciseOf(exercise).title }}: {{ names.length }}
          {{ names.length === 1 ? 'person' : 'people' }}</span
        >
      </p>
      <div v-for="{ id, name, tasks } in rows" :key="id" class="person">
        <b>{{ name }}</b>
        <ol>
          <li v-for="task in tasks" :key="task.exercise">
            <b>{{ exerciseOf(task.exercise).code }}</b> {{ exerciseOf(task.exercise).title }}
            <span class="soft">({{ exerciseOf(task.exercise).minutes }} min)</span>:
            {{ fillsSays(task.fills) }}
            <span v-if="task.second" class="soft small"
              >· {{ secondSays(exerciseOf(task.second.exercise).code, task.second.less) }}</span
            >
          </li>
        </ol>
      </div>
    </template>
  </section>
</template>

<style scoped>
.start {
  align-self: flex-start;
}
.pick {
  margin: 0 8px 6px 0;
}
.person {
  display: grid;
  grid-template-columns: 190px 1fr;
  gap: 14px;
  border-top: 1px solid var(--hem);
  padding-top: 8px;
}
ol {
  margin: 0;
  padding-left: 20px;
}
@media (max-width: 700px) {
  .person {
    grid-template-columns: 1fr;
  }
}
</style>
