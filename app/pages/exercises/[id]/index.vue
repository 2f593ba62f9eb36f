<script setup lang="ts">
import type { StepKey } from '#core/design/model/step-keys'
import { WHOLE_BOARD } from '#core/exercise/exercise'
import { idsIn } from '#core/exercise/form/fields'
import { materialsOf } from '#core/design/materials/materials'
import { toolsFor } from '#core/design/materials/tools'
import { findingSentence } from '#words/findings/findings'
import { boxName } from '~/texts/builder'

definePageMeta({
  roles: ['instructor', 'assessor', 'administrator', 'technician'],
  key: (route) => String(route.params.id),
})
const VARIANTS_SHOWN = 12
const TABS = [
  ['circuits', 'Board and circuits'],
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
const mayChange = computed(() => session.person?.role === 'instructor')
const isSet = computed(() => stored.value?.state === 'set')
const isLocked = computed(() => isSet.value || !mayChange.value)
const tab = ref<(typeof TABS)[number][0]>('circuits')
const selected = ref('c1')
const setting = ref(false)
const { data: cohorts } = mayChange.value ? useCohorts() : { data: ref<string[] | null>(null) }
const cohort = ref('')
const preview = useVariantPreview(
  () => read.value.exercise,
  () => tab.value === 'variants',
  VARIANTS_SHOWN,
)

const selectedDesign = computed(
  () =>
    shown.value.design?.circuits.find(({ scope }) => scope === selected.value) ??
    shown.value.design?.boards.find(({ scope }) => scope === selected.value),
)
/** The form and its problems by row; rows that did not change stay the same objects, so that a keystroke draws one row again and not the page. */
const rows = computed<Record<string, Record<string, string>>>((old) => partsOf(form.value, old))
const rowProblems = computed<Record<string, Record<string, string>>>((old) =>
  partsOf(read.value.problems, old),
)
const NO_PROBLEMS: Readonly<Record<string, string>> = {}
const head = computed(() => rows.value['']!)
const headProblems = computed(() => rowProblems.value[''] ?? NO_PROBLEMS)
/** Columns of the table; the boxes beside it need none of them to be drawn again. */
const TYPED_IN_TABLE = ['name', 'way', 'amount', 'length', 'ambient']
const selectedRow = computed<Record<string, string>>((old) =>
  keep(
    old,
    Object.fromEntries(
      Object.entries(rows.value[selected.value] ?? {}).filter(([field]) => !TYPED_IN_TABLE.includes(field)),
    ),
  ),
)
const selectedProblems = computed(() => rowProblems.value[selected.value] ?? NO_PROBLEMS)
const boardNames = computed<Record<string, string>>((old) =>
  keep(
    old,
    Object.fromEntries(
      idsIn(form.value.boards).map((board) => [board, form.value[`${board}.name`] ?? board]),
    ),
  ),
)
const boards = computed(() => Object.entries(boardNames.value).map(([board, name]) => ({ id: board, name })))
const circuits = computed(() =>
  idsIn(form.value.circuits).map((circuit) => ({
    id: circuit,
    name: form.value[`${circuit}.name`] ?? circuit,
  })),
)
const intakeWords = computed<string[]>((old) =>
  keep(
    old,
    shown.value.advice
      .filter(({ scope }) => scope === 'intake')
      .map(({ finding }) => findingSentence(finding)),
  ),
)
const applying = computed(
  () =>
    new Set<StepKey>(
      [...(design.value?.circuits ?? []), ...(design.value?.boards ?? [])].flatMap(({ steps }) =>
        steps.map(({ key }) => key),
      ),
    ),
)
const failed = computed(
  () =>
    new Set(
      [...(design.value?.circuits ?? []), ...(design.value?.boards ?? [])]
        .filter((part) => part.stopped)
        .map(({ scope }) => scope),
    ),
)
const figureOf = (scope: string, step: StepKey) =>
  [...(design.value?.circuits ?? []), ...(design.value?.boards ?? [])].find((part) => part.scope === scope)
    ?.values[step]
const scopes = computed(() =>
  Object.fromEntries([...boards.value, ...circuits.value].map((part) => [part.id, part.name])),
)
const built = computed(() =>
  form.value.tests === WHOLE_BOARD
    ? idsIn(form.value.circuits)
    : form.value.tests
      ? [form.value.tests]
      : idsIn(form.value.askCircuits),
)
const materials = computed(() =>
  design.value
    ? {
        materials: materialsOf(design.value, built.value),
        ...toolsFor(design.value, built.value, form.value.tests !== ''),
      }
    : null,
)
/** What keeps the exercise from being saved, in words, the head of the task first. */
const open = computed(() =>
  Object.entries(shown.value.problems).map(([key, text]) => ({
    key,
    text: `${boxName(key, form.value)}: ${text}`,
  })),
)
const canSet = computed(() => Boolean(read.value.exercise && design.value?.ok))

const saveWords = computed(() => {
  if (isSet.value) return 'set: locked'
  if (isChanged.value)
    return read.value.exercise
      ? 'changed, not saved yet'
      : `${open.value.length} ${open.value.length === 1 ? 'box needs' : 'boxes need'} a look`
  return stored.value ? `saved by ${stored.value.updatedBy}, ${dayTime(stored.value.updatedAt)}` : 'new'
})

async function setIt() {
  const given = await builder.setFor(cohort.value)
  if (given === null) return
  setting.value = false
  ElMessage({
    type: 'success',
    message: `${given} ${given === 1 ? 'apprentice has' : 'apprentices have'} the task now, each with their own lengths and loads.`,
  })
}
function duplicate() {
  sessionStorage.setItem('nakshi-duplicate', JSON.stringify({ ...form.value, code: '' }))
  void navigateTo('/exercises/new')
}

onMounted(async () => {
  await builder.load()
  const copy = id === null && sessionStorage.getItem('nakshi-duplicate')
  if (copy) {
    sessionStorage.removeItem('nakshi-duplicate')
    builder.change(JSON.parse(copy))
  }
  selected.value = idsIn(form.value.circuits)[0] ?? 'b1'
})
useUnsavedGuard(
  () => isChanged.value && !isLocked.value,
  () => void builder.save(),
)
</script>

<template>
  <div v-if="problem" class="page"><ServerProblem :problem="problem" @retry="builder.load" /></div>
  <div v-else class="builder">
    <header class="bar">
      <div>
        <h1>
          {{ form.title || 'New exercise' }} <span class="soft code">{{ form.code }}</span>
        </h1>
        <span class="small soft" role="status" data-testid="builder-state">{{ saveWords }}</span>
        <span v-if="builder.isBack.value && isChanged" class="small" data-testid="typed-before">
          Your typing from before is back; it was not saved.
          <button type="button" class="plain-button" @click="builder.discard">Discard it</button>
        </span>
      </div>
      <div class="row acts">
        <template v-if="mayChange">
          <el-button
            v-if="!isSet"
            type="primary"
            :disabled="!read.exercise || (!isChanged && stored !== null)"
            :loading="isBusy"
            @click="builder.save"
            >Save</el-button
          >
          <el-button v-if="stored" :disabled="!canSet" @click="setting = true">Set for a group…</el-button>
        </template>
        <NuxtLink v-if="stored" :to="`/exercises/${id}/sheets`"><el-button>Print</el-button></NuxtLink>
        <el-button v-if="mayChange && stored" text @click="duplicate">Duplicate</el-button>
        <a v-if="stored" :href="`/api/exercises/${id}/export`" download><el-button text>Export</el-button></a>
        <a v-if="isSet" :href="`/api/exercises/${id}/results`" download
          ><el-button text>Results</el-button></a
        >
      </div>
    </header>
    <nav class="tabs" role="tablist" aria-label="Parts of the exercise">
      <button
        v-for="[key, name] in TABS"
        :key="key"
        type="button"
        role="tab"
        :aria-selected="tab === key"
        :class="{ on: tab === key }"
        @click="tab = key"
      >
        {{ name }}
      </button>
      <span class="grow" />
      <details v-if="open.length && !isLocked" class="open">
        <summary>{{ open.length }} to look at</summary>
        <ul>
          <li v-for="entry in open" :key="entry.key">{{ entry.text }}</li>
        </ul>
      </details>
    </nav>
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
      <div class="below">
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
    <section v-else class="tab">
      <MaterialsList v-if="materials" v-bind="materials" :scopes="scopes" />
    </section>
    <ConflictChooser
      :conflicts="builder.conflicts.value"
      :name-of="(field) => boxName(field, form)"
      title="Somebody else changed the same box"
      @choose="builder.choose"
    />
    <el-dialog v-model="setting" title="Set for a group" width="440px">
      <div class="stack">
        <p>
          Everybody in the group who does not have it yet gets a variant of their own and a bay number. After
          that the exercise is locked.
        </p>
        <el-select v-model="cohort" placeholder="Choose a group" aria-label="Group" data-testid="set-cohort"
          ><el-option v-for="name in cohorts ?? []" :key="name" :value="name" :label="name"
        /></el-select>
        <div class="row">
          <el-button type="primary" :disabled="!cohort" :loading="isBusy" @click="setIt">Set it</el-button>
          <el-button @click="setting = false">Back</el-button>
        </div>
      </div>
    </el-dialog>
  </div>
</template>

<style scoped>
.builder {
  padding: 12px 16px 40px;
  display: flex;
  flex-direction: column;
  gap: 10px;
}
.bar {
  display: flex;
  justify-content: space-between;
  align-items: center;
  gap: 16px;
  flex-wrap: wrap;
}
.code {
  font: 600 15px var(--mono);
}
.acts {
  gap: 8px;
}
.tabs {
  display: flex;
  gap: 2px;
  align-items: flex-end;
  border-bottom: 1.5px solid var(--ink);
  position: relative;
}
.tabs > button {
  all: unset;
  cursor: pointer;
  padding: 8px 14px;
  font-weight: 600;
  color: var(--soft);
  border-bottom: 4px solid transparent;
}
.tabs > button.on {
  color: var(--indigo-text);
  border-bottom-color: var(--turmeric);
}
.tabs > button:focus-visible {
  outline: 2px solid var(--indigo);
}
.grow {
  flex: 1;
}
.open {
  font-size: 14px;
  color: var(--madder-text);
  padding: 6px 0;
}
.open summary {
  cursor: pointer;
  font-weight: 620;
}
.open ul {
  position: absolute;
  right: 0;
  z-index: 3;
  background: var(--raised);
  border: 1.5px dashed var(--madder);
  padding: 10px 14px 10px 30px;
  margin: 4px 0 0;
  max-width: 560px;
  color: var(--ink);
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
    grid-template-columns: 1fr;
  }
}
</style>
