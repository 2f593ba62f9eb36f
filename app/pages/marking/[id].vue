<script setup lang="ts">
import type { EvidenceKey } from '#core/outcomes/framework'

definePageMeta({ roles: ['instructor', 'assessor'] })
const route = useRoute()
const id = computed(() => Number(route.params.id))
const desk = useMarking(() => id.value)
const { view } = desk
const { data: pile, refresh: refreshPile } = useServer<{ id: number; stage: string }[]>(() => 'marking')

const items = computed<EvidenceKey[]>(() => [
  ...(view.value?.marked.design ?? []).map((mark): EvidenceKey => `design.${mark.step}`),
  ...(view.value?.marked.readings ?? []).map((mark): EvidenceKey => `reading.${mark.reading}`),
])
const selected = ref<EvidenceKey>('design.ib')
const changing = ref<EvidenceKey | null>(null)
const isOpen = computed(() => ['handedIn', 'decided'].includes(view.value?.attempt.stage ?? ''))
const overrides = computed(() => (view.value?.attempt.stage === 'released' ? view.value.decision!.evidence.overrides : view.value?.draft.overrides ?? []))
const proposedVerdict = computed(() => {
  const marks = view.value?.marked
  const mark = marks?.design.find((m) => `design.${m.step}` === changing.value) ?? marks?.readings.find((m) => `reading.${m.reading}` === changing.value)
  return mark && (mark.verdict === 'right' || mark.verdict === 'carried') ? 'right' : 'wrong'
})
const place = computed(() => {
  const at = pile.value?.findIndex((entry) => entry.id === id.value) ?? -1
  return at < 0 ? '' : `${at + 1} of ${pile.value!.length} in the pile`
})

function move(by: number) {
  const at = items.value.indexOf(selected.value)
  selected.value = items.value[Math.min(items.value.length - 1, Math.max(0, at + by))]!
  nextTick(() => document.querySelector(`[data-item="${selected.value}"]`)?.scrollIntoView({ block: 'nearest' }))
}

/** To the next sheet that waits for a decision, or back to the pile. */
async function next() {
  await refreshPile()
  const other = pile.value?.find((entry) => entry.id !== id.value && entry.stage === 'handedIn')
  await navigateTo(other ? `/marking/${other.id}` : '/marking')
}

async function setOverride(verdict: 'right' | 'wrong', reason: string) {
  if (changing.value && (await desk.override(changing.value, verdict, reason))) changing.value = null
}

const isHeld = () => !isOpen.value
useShortcuts([
  { keys: 'j', label: 'J', name: 'next line', run: () => move(1) },
  { keys: 'k', label: 'K', name: 'line before', run: () => move(-1) },
  { keys: 'e', label: 'E', name: 'change the mark of this line, with a reason', run: () => (changing.value = selected.value), isOff: isHeld },
  { keys: 'u', label: 'U', name: 'undo the change on this line', run: () => void desk.clearOverride(selected.value), isOff: isHeld },
  { keys: 'f', label: 'F', name: 'edit the feedback', run: () => document.querySelector<HTMLTextAreaElement>('[name=feedback]')?.focus(), isOff: isHeld },
  { keys: 'd', label: 'D', name: 'decide as shown', run: () => void desk.decide(), isOff: isHeld },
  { keys: 'r', label: 'R', name: 'release to the apprentice', run: () => void desk.release(), isOff: () => view.value?.attempt.stage !== 'decided' },
  { keys: 'n', label: 'N', name: 'next apprentice', run: () => void next() },
])
</script>

<template>
  <div v-if="desk.problem.value" class="page"><ServerProblem :problem="desk.problem.value" @retry="desk.load" /></div>
  <div v-else-if="!view" class="page stack"><div v-for="i in 8" :key="i" class="skeleton" style="height: 44px" /></div>
  <div v-else class="desk">
    <div class="lines" tabindex="0" role="region" aria-label="Marks">
      <div class="title">
        <h1>{{ view.attempt.name }}</h1>
        <span class="soft">{{ view.exercise.code }} {{ view.exercise.title }} · bay {{ view.attempt.bay }} · variant {{ view.attempt.variantIndex }} · {{ place }}</span>
      </div>
      <p class="facts soft">{{ taskLine(view.attempt.task) }}</p>
      <MarkedDesign :marks="view.marked.design" :overrides="overrides" :selected="selected" @pick="selected = $event" />
      <MarkedReadings :marks="view.marked.readings" :overrides="overrides" :selected="selected" @pick="selected = $event" />
      <p class="keys">
        <span><kbd>J</kbd> <kbd>K</kbd> line</span>
        <template v-if="isOpen"><span><kbd>E</kbd> change</span><span><kbd>U</kbd> undo</span><span><kbd>F</kbd> feedback</span><span><kbd>D</kbd> decide</span></template>
        <span><kbd>N</kbd> next</span><span><kbd>Ctrl K</kbd> go to</span><span><kbd>?</kbd> all keys</span>
        <el-button v-if="isOpen" size="small" @click="changing = selected">Change this line…</el-button>
      </p>
    </div>
    <DecisionPanel
      :view="view" :feedback="desk.feedback.value" :feedback-state="desk.feedbackState.value" :is-busy="desk.isBusy.value"
      @feedback="desk.writeFeedback" @reset="desk.resetFeedback" @decide="desk.decide" @release="desk.release" @next="next"
    />
    <OverrideDialog :item="changing" :proposed="proposedVerdict" @close="changing = null" @set="setOverride" />
  </div>
</template>

<style scoped>
.desk { display: grid; grid-template-columns: 1fr 348px; height: calc(100vh - 60px); }
.lines { overflow: auto; padding: 14px 12px 0 20px; display: flex; flex-direction: column; gap: 4px; }
.lines > :deep(section + section) { margin-top: 14px; }
.title { display: flex; gap: 14px; align-items: baseline; flex-wrap: wrap; }
.facts { font-size: 13.5px; margin-bottom: 4px; }
.keys { position: sticky; bottom: 0; background: var(--cloth); display: flex; gap: 14px; padding: 10px 8px; font-size: 13.5px; color: var(--soft); align-items: center; border-top: 1px solid var(--hem); margin-top: auto; flex-wrap: wrap; }
.keys :deep(.el-button) { margin-left: auto; }
@media (max-width: 1000px) { .desk { grid-template-columns: 1fr; height: auto; } }
</style>
