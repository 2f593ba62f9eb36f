<script setup lang="ts">
import {
  builtCircuits,
  designOf,
  publicInstallation,
  type PublicInstallation,
} from '#core/exercise/assignment'
import type { Installation } from '#core/installation/installation'
import { materialsOf } from '#core/design/materials/materials'
import { toolsFor } from '#core/design/materials/tools'
import type { StoredExercise, TaskSheets } from '#schemas/views'

definePageMeta({ roles: ['instructor', 'assessor', 'administrator', 'technician', 'verifier'] })
const KINDS = {
  tasks: 'Task sheets',
  answers: 'Answers',
  chart: 'Circuit chart',
  labels: 'Labels',
  materials: 'Materials',
} as const
const id = useRoute().params.id
const kind = ref<keyof typeof KINDS>('tasks')
const { data: stored, problem, refresh } = useServer<StoredExercise>(() => `exercises/${id}`)
const wanted = ref('')
const { data: given } = useServer<TaskSheets>(
  () => `exercises/${id}/sheets?cohort=${encodeURIComponent(wanted.value)}`,
)
const inForce = useBookInForce().data
/** A draft is worked by the book in force. */
const exercise = computed(() =>
  stored.value?.state === 'draft'
    ? { ...stored.value.exercise, book: inForce.value?.changes }
    : stored.value?.exercise,
)
/** One sheet a person, or one without a name while nobody has the exercise. */
const people = computed(() =>
  (given.value?.sheets ?? []).map((sheet) => ({
    key: sheet.number,
    installation: sheet.installation,
    who: { name: sheet.name, number: sheet.number, bay: sheet.bay },
  })),
)
/** Variants differ in lengths and loads alone, so the bay's RCDs are the exercise's. */
function wholeOf(installation: PublicInstallation): Installation {
  const residual = new Map(
    exercise.value!.installation.circuits.map(({ id: circuit, residualA }) => [circuit, residualA]),
  )
  return {
    ...installation,
    circuits: installation.circuits.map((circuit) => ({
      ...circuit,
      residualA: residual.get(circuit.id) ?? null,
    })),
  }
}
const blank = computed(() => (exercise.value ? publicInstallation(exercise.value.installation) : null))
const materials = computed(() => {
  if (!exercise.value) return null
  const design = designOf(exercise.value)
  const built = builtCircuits(exercise.value)
  return {
    materials: materialsOf(design, built),
    ...toolsFor(design, built, exercise.value.tests !== null),
    scopes: Object.fromEntries(
      [...exercise.value.installation.circuits, ...exercise.value.installation.boards].map((part) => [
        part.id,
        part.name,
      ]),
    ),
  }
})
const print = () => window.print()
</script>

<template>
  <div class="page">
    <div class="row spread screen-only">
      <div>
        <h1>Print</h1>
        <p class="soft">A4, or save as PDF from the print window.</p>
      </div>
      <div class="row">
        <GroupPick v-if="given" :cohorts="given.cohorts" :cohort="given.cohort" @pick="wanted = $event" />
        <LinkButton :to="`/exercises/${id}`">Back</LinkButton
        ><el-button type="primary" @click="print">Print</el-button>
      </div>
    </div>
    <el-radio-group v-model="kind" class="screen-only kinds" aria-label="What to print"
      ><el-radio-button v-for="(name, key) in KINDS" :key="key" :value="key">{{
        name
      }}</el-radio-button></el-radio-group
    >
    <PageProblem v-if="problem" :problem="problem" @retry="refresh" />
    <template v-else-if="exercise && given && blank">
      <template v-if="kind === 'tasks'">
        <p v-if="people.length === 0" class="soft screen-only">
          Nobody has this exercise yet: a sheet without a name.
        </p>
        <TaskPrint
          v-for="person in people"
          :key="person.key"
          :exercise="exercise"
          :installation="person.installation"
          :who="person.who"
        />
        <TaskPrint v-if="people.length === 0" :exercise="exercise" :installation="blank" />
      </template>
      <template v-else-if="kind === 'answers'">
        <AnswerPrint
          v-for="person in people"
          :key="person.key"
          :exercise="exercise"
          :installation="wholeOf(person.installation)"
          :title="`Bay ${person.who.bay}`"
        />
        <AnswerPrint
          v-if="people.length === 0"
          :exercise="exercise"
          :installation="exercise.installation"
          title="as written"
        />
      </template>
      <ChartPrint
        v-else-if="kind === 'chart' || kind === 'labels'"
        :exercise="exercise"
        :labels="kind === 'labels'"
      />
      <article v-else-if="materials" class="sheet paper">
        <h1>{{ exercise.code }} {{ exercise.title }}: materials for one bay</h1>
        <MaterialsList v-bind="materials" />
      </article>
    </template>
  </div>
</template>

<style scoped>
.kinds {
  margin-top: 12px;
}
.paper {
  background: var(--raised);
  border: 1px solid var(--hem);
  padding: 30px 34px;
  margin: 18px auto;
  max-width: 880px;
  display: flex;
  flex-direction: column;
  gap: 14px;
}
@media print {
  .paper {
    border: 0;
    padding: 0;
  }
}
</style>
