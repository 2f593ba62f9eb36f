<script setup lang="ts">
import { isInContainment, runFromCircuit } from '#core/containment/from-circuit'
import type { RunFields } from '#core/containment/form'
import type { ExerciseListItem } from '#schemas/views'
import type { RunListItem } from '#schemas/workmanship-views'

definePageMeta({ roles: ['apprentice', 'instructor', 'assessor', 'technician'] })
const { call } = useApi()
const { data, problem, refresh } = useServer<RunListItem[]>(() => 'runs')
const session = useSession()
/** Routes that exercises give; for those who may see exercises. */
const { data: exercises } =
  session.person?.role === 'apprentice' ? { data: ref<ExerciseListItem[] | null>(null) } : useExercises()
const routes = computed(() =>
  (exercises.value ?? []).flatMap(({ code, circuits }) =>
    circuits.filter(isInContainment).map((circuit) => ({ key: `${code} ${circuit.id}`, code, circuit })),
  ),
)
const route = ref('')
function fromRoute(key: string) {
  const chosen = routes.value.find((candidate) => candidate.key === key)
  if (chosen) void create(runFromCircuit(chosen.code, chosen.circuit))
}
async function create(fields?: RunFields) {
  try {
    const { id } = await call<{ id: number }>('POST', 'runs', {
      fields: fields ?? {
        name: 'New run',
        material: 'pvc',
        size: '20',
        order: 's1 s2',
        's1.to': 'up',
        's1.length': '600',
        's1.then': 'bend',
        's2.to': 'right',
        's2.length': '900',
      },
    })
    await navigateTo(`/runs/${id}`)
  } catch (error) {
    showProblem(error)
  }
}
</script>

<template>
  <div class="page stack">
    <div class="row spread">
      <div>
        <h1>Conduit</h1>
        <p class="soft">Set out, cut and bend; then measured against the same drawing.</p>
      </div>
      <div class="row">
        <el-select
          v-if="routes.length"
          v-model="route"
          placeholder="From an exercise’s route"
          aria-label="From an exercise’s route"
          style="width: 300px"
          data-testid="from-route"
          @change="fromRoute"
          ><el-option
            v-for="planned in routes"
            :key="planned.key"
            :value="planned.key"
            :label="`${planned.code} ${planned.circuit.name}, ${planned.circuit.lengthM} m`" /></el-select
        ><el-button type="primary" @click="create()">New run</el-button>
      </div>
    </div>
    <ServerProblem v-if="problem" :problem="problem" @retry="refresh" />
    <div v-else-if="!data" class="stack">
      <div v-for="i in 4" :key="i" class="skeleton" style="height: 60px" />
    </div>
    <div v-else-if="data.length === 0" class="empty">
      <h2>No run yet</h2>
      <p>Begin one: legs by their dimensions, or dragged on the wall.</p>
    </div>
    <NuxtLink
      v-for="run in data ?? []"
      :key="run.id"
      :to="`/runs/${run.id}`"
      class="list-entry"
      :data-testid="`run-${run.id}`"
      ><span class="what"
        ><b>{{ run.name }}</b
        ><span class="soft small"
          >{{ run.straights }} straights · {{ run.isMine ? 'yours' : run.maker }},
          {{ dayTime(run.savedAt) }}</span
        ></span
      ><span v-if="run.measured" class="tag met"
        >measured {{ run.measured === 1 ? 'once' : `${run.measured} times` }}</span
      ></NuxtLink
    >
  </div>
</template>
