<script setup lang="ts">
import { WHOLE_BOARD } from '#core/exercise/exercise'
import { stepOf } from '#core/design/model/step-keys'
import type { ItemKey } from '#core/assessment/outcomes/evidence-key'
import { circuitFacts, intakeFacts } from '~/texts/task-facts'

definePageMeta({ roles: ['instructor', 'assessor', 'verifier'] })
const route = useRoute()
const id = computed(() => Number(route.params.id))
const desk = useMarking(() => id.value)
const { view } = desk
const { data: pile, refresh: refreshPile } = useServer<{ id: number; stage: string }[]>(() => 'marking')
const isOnlyOpen = ref(false)
const showsGiven = ref(false)

const scopeIds = computed(() => Object.keys(view.value?.scopes ?? {}))
/** Every mark of the sheet by its item. */
const marks = computed(() => {
  const { design = [], readings = [], work = [] } = view.value?.marked ?? {}
  return new Map<string, { readonly verdict: string; readonly scope?: string }>([
    ...design.map((mark) => [`design.${mark.node}`, mark] as const),
    ...readings.map((mark) => [`reading.${mark.reading}`, { verdict: mark.verdict }] as const),
    ...work.map((mark) => [`work.${mark.group}`, { verdict: mark.verdict }] as const),
  ])
})
const items = computed<ItemKey[]>(() => [
  ...scopeIds.value.flatMap((scope) =>
    (view.value?.marked.design ?? [])
      .filter((mark) => mark.scope === scope)
      .map((mark): ItemKey => `design.${mark.node}`),
  ),
  ...(view.value?.marked.readings ?? []).map((mark): ItemKey => `reading.${mark.reading}`),
  ...(view.value?.marked.work ?? []).map((mark): ItemKey => `work.${mark.group}`),
])
const selected = ref<ItemKey | ''>('')
const changing = ref<ItemKey | null>(null)
const mayMark = useSession().person!.role !== 'verifier'
const isOpen = computed(() => mayMark && ['handedIn', 'decided'].includes(view.value?.attempt.stage ?? ''))
const overrides = computed(() =>
  view.value?.attempt.stage === 'released'
    ? view.value.decision!.evidence.overrides
    : (view.value?.draft.overrides ?? []),
)
const selectedStep = computed(() =>
  selected.value.startsWith('design.') ? stepOf(selected.value) : undefined,
)
const given = computed(
  () =>
    view.value?.attempt.installation.circuits.filter((circuit) => scopeIds.value.includes(circuit.id)) ?? [],
)
const proposedVerdict = computed(() => {
  const mark = marks.value.get(changing.value ?? '')
  return mark && (mark.verdict === 'right' || mark.verdict === 'carried') ? 'right' : 'wrong'
})
const place = computed(() => {
  const at = pile.value?.findIndex((entry) => entry.id === id.value) ?? -1
  return at < 0 ? '' : `${at + 1} of ${pile.value!.length} in the pile`
})
watch(items, (all) => {
  if (!all.includes(selected.value as ItemKey)) selected.value = all[0] ?? ''
})

function show(item: ItemKey | undefined) {
  if (!item) return
  selected.value = item
  nextTick(() => document.querySelector(`[data-item="${item}"]`)?.scrollIntoView({ block: 'nearest' }))
}
const at = () => items.value.indexOf(selected.value as ItemKey)
const move = (by: number) => show(items.value[Math.min(items.value.length - 1, Math.max(0, at() + by))])
/** The next line that is not simply right. */
const moveToFault = () =>
  show(
    items.value.slice(at() + 1).find((item) => {
      const mark = marks.value.get(item)
      return mark?.verdict === 'wrong' || mark?.verdict === 'missing'
    }),
  )
const moveScope = (by: number) => {
  const scope = marks.value.get(selected.value)?.scope
  const next = scopeIds.value[scopeIds.value.indexOf(scope ?? '') + by]
  show(items.value.find((item) => marks.value.get(item)?.scope === next))
}

/** To the next sheet that waits for a decision, or back to the pile. */
async function next() {
  await refreshPile()
  const other = pile.value?.find((entry) => entry.id !== id.value && entry.stage === 'handedIn')
  await navigateTo(other ? `/marking/${other.id}` : '/marking')
}
const sideways = (to: number | null | undefined) => to && navigateTo(`/marking/${to}`)

async function setOverride(verdict: 'right' | 'wrong', reason: string) {
  if (changing.value && (await desk.override(changing.value, verdict, reason))) changing.value = null
}
const takeComment = (n: number) =>
  document.querySelectorAll<HTMLButtonElement>('.bank ol button')[n - 1]?.click()

useMarkingKeys({
  desk,
  isHeld: () => !isOpen.value,
  move,
  moveToFault,
  moveScope,
  toggleOpen: () => (isOnlyOpen.value = !isOnlyOpen.value),
  toggleGiven: () => (showsGiven.value = !showsGiven.value),
  change: () => (changing.value = selected.value || null),
  selected: () => selected.value,
  takeComment,
  next,
  sideways,
})
</script>

<template>
  <div v-if="desk.problem.value" class="page">
    <PageProblem :problem="desk.problem.value" @retry="desk.load" />
  </div>
  <div v-else-if="!view" class="page stack">
    <div v-for="i in 8" :key="i" class="skeleton" style="height: 44px" />
  </div>
  <div v-else class="desk">
    <div class="lines" tabindex="0" role="region" aria-label="Marks">
      <div class="title">
        <h1>{{ view.attempt.name }}</h1>
        <span class="soft"
          >{{ view.exercise.code }} {{ view.exercise.title }} · bay {{ view.attempt.bay }} · variant
          {{ view.attempt.variantIndex }} · {{ place }}</span
        >
      </div>
      <p v-if="given.length === 1" class="facts soft">{{ circuitLine(given[0]!) }}</p>
      <div v-if="showsGiven" class="stitched given">
        <TaskFacts :facts="intakeFacts(view.attempt.installation)" />
        <template v-for="circuit in given" :key="circuit.id"
          ><h3>{{ circuit.name }}</h3>
          <TaskFacts :facts="circuitFacts(circuit)"
        /></template>
      </div>
      <MarkedDesign
        :marks="view.marked.design"
        :overrides="overrides"
        :scopes="view.scopes"
        :selected="selected"
        :only-open="isOnlyOpen"
        @pick="selected = $event"
      />
      <p v-if="view.exercise.tests === WHOLE_BOARD" class="row">
        <NuxtLink :to="`/schedules/${view.attempt.id}`">Open the schedule: bands, findings, causes</NuxtLink
        ><NuxtLink :to="`/papers/${view.attempt.id}`">Records and certificates</NuxtLink>
      </p>
      <MarkedReadings
        v-if="view.marked.readings.length"
        :marks="view.marked.readings"
        :scopes="view.scopes"
        :overrides="overrides"
        :selected="selected"
        :only-open="isOnlyOpen"
        @pick="selected = $event"
      />
      <MarkedWork
        v-if="view.marked.work.length"
        :marks="view.marked.work"
        :overrides="overrides"
        :selected="selected"
        :only-open="isOnlyOpen"
        @pick="selected = $event"
      />
      <AskedList :asked="view.asked" :attempt="view.attempt.id" :may-ask="mayMark" />
      <p v-if="view.exercise.tests" class="row">
        <NuxtLink :to="`/inspect/${view.attempt.id}`">{{
          view.marked.work.length
            ? 'Open the inspection'
            : 'Inspect the work: it counts once you have gone over it'
        }}</NuxtLink>
      </p>
      <p class="keys">
        <span><kbd>J</kbd> <kbd>K</kbd> line</span><span><kbd>W</kbd> next wrong</span
        ><span v-if="scopeIds.length > 1"><kbd>←</kbd> <kbd>→</kbd> circuit</span>
        <template v-if="isOpen"
          ><span><kbd>E</kbd> change</span><span><kbd>F</kbd> feedback</span
          ><span><kbd>D</kbd> decide</span></template
        >
        <span><kbd>N</kbd> next</span><span><kbd>?</kbd> all keys</span>
        <span class="buttons">
          <el-button size="small" @click="showsGiven = !showsGiven">{{
            showsGiven ? 'Hide what was given' : 'What was given'
          }}</el-button>
          <el-button size="small" @click="isOnlyOpen = !isOnlyOpen">{{
            isOnlyOpen ? 'All lines' : 'Only what is not right'
          }}</el-button>
          <el-button v-if="isOpen" size="small" @click="changing = selected || null"
            >Change this line…</el-button
          >
        </span>
      </p>
    </div>
    <DecisionPanel
      :view="view"
      :feedback="desk.feedback.value"
      :feedback-state="desk.feedbackState.value"
      :is-busy="desk.isBusy.value"
      :step="selectedStep"
      @feedback="desk.writeFeedback"
      @reset="desk.resetFeedback"
      @decide="desk.decide"
      @release="desk.release"
      @next="next"
      @comment="desk.addComment"
    />
    <OverrideDialog
      :item="changing"
      :proposed="proposedVerdict"
      @close="changing = null"
      @set="setOverride"
    />
  </div>
</template>

<style scoped>
.desk {
  display: grid;
  grid-template-columns: 1fr 348px;
  height: calc(100vh - 60px);
}
.lines {
  overflow: auto;
  padding: 14px 12px 0 20px;
  display: flex;
  flex-direction: column;
  gap: 4px;
}
.lines > :deep(section + section) {
  margin-top: 14px;
}
.title {
  display: flex;
  gap: 14px;
  align-items: baseline;
  flex-wrap: wrap;
}
.facts {
  font-size: 13.5px;
  margin-bottom: 4px;
}
.given {
  display: flex;
  flex-direction: column;
  gap: 8px;
}
.keys {
  position: sticky;
  bottom: 0;
  background: var(--cloth);
  display: flex;
  gap: 14px;
  padding: 10px 8px;
  font-size: 13.5px;
  color: var(--soft);
  align-items: center;
  border-top: 1px solid var(--hem);
  margin-top: auto;
  flex-wrap: wrap;
}
.buttons {
  margin-left: auto;
  display: flex;
  gap: 6px;
}
@media (max-width: 1000px) {
  .desk {
    grid-template-columns: 1fr;
    height: auto;
  }
}
</style>
