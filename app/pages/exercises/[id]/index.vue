<script setup lang="ts">
import { idsIn } from '#core/exercise/form/fields'
import { boxName } from '~/texts/builder'

definePageMeta({
  roles: ['instructor', 'assessor', 'administrator', 'technician', 'verifier'],
  key: (route) => String(route.params.id),
})
const VARIANTS_SHOWN = 12
const TABS = [
  ['circuits', 'Board and circuits'],
  ['arrange', 'Arrangement'],
  ['diagram', 'Diagram'],
  ['task', 'Task and marks'],
  ['variants', 'Variants'],
  ['materials', 'Materials'],
] as const

const route = useRoute()
const session = useSession()
const id = route.params.id === 'new' ? null : Number(route.params.id)
const builder = useExerciseBuilder(id)
const { form, stored, centre, problem, read, design, shown, readings, isBusy, isChanged } = builder
const { survey, refresh: askSurvey } = provideSurveyOrigins(id)
const mayChange = computed(() => session.person?.role === 'instructor')
const isSet = computed(() => stored.value?.state === 'set')
/** Before what is stored or copied has been laid in, typing would be lost under it. */
const isLaid = ref(false)
const isLocked = computed(() => isSet.value || !mayChange.value || !isLaid.value)
const tab = ref<(typeof TABS)[number][0]>('circuits')
const selected = ref('c1')
const setting = ref(false)
const preview = useVariantPreview(
  () => read.value.exercise && { ...read.value.exercise, book: builder.book.value },
  () => tab.value === 'variants',
  VARIANTS_SHOWN,
)

const {
  rows,
  rowProblems,
  head,
  headProblems,
  selectedRow,
  selectedProblems,
  boards,
  circuits,
  intakeWords,
  scopes,
} = useBuilderRows(builder, selected)
const { selectedDesign, applying, failed, figureOf, materials } = useBuilderDesign(builder, selected)
/** What keeps the exercise from being saved, in words, the head of the task first. */
const open = computed(() =>
  Object.entries(shown.value.problems).map(([key, text]) => ({
    key,
    text: `${boxName(key, form.value)}: ${text}`,
  })),
)
const saveWords = computed(() => {
  if (isSet.value) return 'set: locked'
  if (isChanged.value)
    return read.value.exercise
      ? 'changed, not saved yet'
      : `${open.value.length} ${open.value.length === 1 ? 'box needs' : 'boxes need'} a look`
  return stored.value ? `saved by ${stored.value.updatedBy}, ${dayTime(stored.value.updatedAt)}` : 'new'
})

async function setIt(cohort: string) {
  const given = await builder.setFor(cohort)
  if (given === null) return
  setting.value = false
  ElMessage({
    type: 'success',
    message:
      `${given} ${given === 1 ? 'apprentice has' : 'apprentices have'} the task now, ` +
      'each with their own lengths and loads.',
  })
}
function duplicate() {
  sessionStorage.setItem('nakshi-duplicate', JSON.stringify({ ...form.value, code: '' }))
  void navigateTo('/exercises/new')
}

async function takenFromSurvey() {
  await Promise.all([builder.load(), askSurvey()])
}

onMounted(async () => {
  await builder.load()
  const copy = id === null && sessionStorage.getItem('nakshi-duplicate')
  if (copy) {
    sessionStorage.removeItem('nakshi-duplicate')
    builder.change(JSON.parse(copy))
  }
  selected.value = idsIn(form.value.circuits)[0] ?? 'b1'
  isLaid.value = true
})
useUnsavedGuard(
  () => isChanged.value && !isLocked.value,
  () => void builder.save(),
)
</script>

<template>
  <div v-if="problem" class="page"><PageProblem :problem="problem" @retry="builder.load" /></div>
  <div v-else class="builder">
    <BuilderHeader
      :id="id"
      :builder="builder"
      :may-change="mayChange"
      :state="saveWords"
      @set="setting = true"
      @duplicate="duplicate"
    />
    <FromSurvey
      v-if="survey && id !== null"
      :id="id"
      :survey="survey"
      :form="form"
      :may-change="mayChange"
      :is-changed="isChanged"
      @taken="takenFromSurvey"
    />
    <PartTabs v-model="tab" :parts="TABS" label="Parts of the exercise">
      <OpenBoxes v-if="open.length && !isLocked" :open="open" />
    </PartTabs>
    <!-- What is laid out by hand outlives a look at another part. -->
    <KeepAlive>
      <ArrangeBoard
        v-if="tab === 'arrange'"
        class="tab"
        :installation="read.installation ?? null"
        :design="design ?? null"
        :locked="isLocked"
        :exercise-id="mayChange ? id : null"
        :is-changed="isChanged"
        @take="builder.change({ ...form, ...$event })"
      />
    </KeepAlive>
    <section v-if="tab === 'circuits'" class="tab">
      <p v-if="isSet" class="stitched">
        This exercise is with apprentices and stays as it is. Duplicate it to vary it.
      </p>
      <IntakeBar
        :form="head"
        :problems="headProblems"
        :words="intakeWords"
        :locked="isLocked"
        @write="builder.write"
      />
      <CircuitsTable
        :form="form"
        :rows="rows"
        :problems="rowProblems"
        :design="design"
        :shown="shown"
        :selected="selected"
        :locked="isLocked"
        @write="builder.write"
        @change="builder.change"
        @undo="builder.undo"
        @pick="selected = $event"
      />
      <div class="below by-itself">
        <div>
          <h2>{{ scopes[selected] ?? '' }}</h2>
          <CircuitDetails
            v-if="selectedRow.use"
            :id="selected"
            :row="selectedRow"
            :problems="selectedProblems"
            :boards="boards"
            :is-alteration="form.kind === 'alteration'"
            :locked="isLocked"
            @write="(field, text) => builder.write(`${selected}.${field}`, text)"
          />
        </div>
        <div class="stack">
          <DerivationTable
            v-if="selectedDesign"
            :design="selectedDesign"
            :edition="selectedDesign.task.edition"
          />
          <p v-else class="empty">The reference design appears as soon as the boxes can be read.</p>
          <ExpectedTable v-if="form.tests === selected && readings.length" :readings="readings" />
        </div>
      </div>
    </section>
    <section v-else-if="tab === 'diagram'" class="tab">
      <SingleLine
        v-if="read.installation"
        :installation="read.installation"
        :figure-of="figureOf"
        :selected="selected"
        :failed="failed"
        @pick="selected = $event"
      />
    </section>
    <section v-else-if="tab === 'task'" class="tab">
      <TaskTab
        :form="form"
        :problems="read.problems"
        :framework="centre?.framework ?? null"
        :policy="builder.policy.value"
        :applying="applying"
        :locked="isLocked"
        @write="builder.write"
      />
    </section>
    <section v-else-if="tab === 'variants'" class="tab">
      <p v-if="!read.exercise" class="stitched waiting">
        Variants are drawn once the exercise is complete: {{ open[0]?.text }}
      </p>
      <VariantPreview
        :result="preview.result.value"
        :is-busy="preview.isBusy.value"
        :form="form"
        :problems="read.problems"
        :locked="isLocked"
        :circuits="circuits.filter((circuit) => idsIn(form.askCircuits).includes(circuit.id))"
        @write="builder.write"
      />
    </section>
    <section v-else-if="tab === 'materials'" class="tab">
      <MaterialsList v-if="materials" v-bind="materials" :scopes="scopes" />
    </section>
    <LazyConflictChooser
      v-if="builder.conflicts.value.length > 0"
      :conflicts="builder.conflicts.value"
      :name-of="(field) => boxName(field, form)"
      title="Somebody else changed the same box"
      @choose="builder.choose"
    />
    <SetForGroup v-if="mayChange" v-model="setting" :is-busy="isBusy" @set="setIt" />
  </div>
</template>

<style scoped>
.builder {
  padding: 12px 16px 40px;
  display: flex;
  flex-direction: column;
  gap: 10px;
}
.tab {
  display: flex;
  flex-direction: column;
  gap: 12px;
  padding-top: 4px;
}
.below {
  display: grid;
  grid-template-columns: 300px 1fr;
  gap: 24px;
  padding-top: 8px;
}
.below h2 {
  margin-bottom: 8px;
}
@media (max-width: 1000px) {
  .below {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
