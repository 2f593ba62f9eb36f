<script setup lang="ts">
import { EDITION_NAME } from '#core/regulations/editions'
import type { Finding } from '#core/findings/finding'
import { findingSentence, itemName } from '#words/findings/findings'
import type { ScheduleView } from '#schemas/schedule-views'

/**
 * A whole board as its assessor reads it: what stands out, every reading on its band, and what may be behind
 * it.
 */
definePageMeta({ roles: ['instructor', 'assessor', 'verifier'] })
const id = Number(useRoute().params.id)
const { data: view, problem, refresh } = useServer<ScheduleView>(() => `schedules/${id}`)
useNews(() => void refresh())
const { diagnosis, progress, search } = useDiagnosis()

const names = computed(() =>
  Object.fromEntries((view.value?.circuits ?? []).map((circuit) => [circuit.id, circuit.name])),
)
const rings = useRingProfiles(() => ({
  tests: view.value?.tests ?? [],
  circuits: view.value?.circuits ?? [],
  read: (key) => view.value?.readings[key] ?? '',
}))
const ringsShown = computed(() =>
  rings.value.filter((ring) => circuit.value === '' || circuit.value === ring.circuit),
)
const onlyOpen = ref(true)
const selected = ref<string>()
const circuit = ref<string | null>('')
const marks = computed(() =>
  (view.value?.marks ?? []).filter(
    ({ reading }) =>
      circuit.value === '' ||
      (circuit.value === 'supply' ? !reading.includes('.') : reading.startsWith(`${circuit.value}.`)),
  ),
)
/** Each sentence once, with the readings that it concerns. */
const findings = computed(() => {
  const found = new Map<string, { finding: Finding; keys: string[] }>()
  for (const mark of view.value?.marks ?? [])
    for (const finding of mark.findings) {
      const sentence = findingSentence(finding)
      const known = found.get(sentence) ?? { finding, keys: [] }
      found.set(sentence, { finding, keys: [...known.keys, mark.reading] })
    }
  const weight = { critical: 0, fault: 1, note: 2 }
  return [...found]
    .map(([sentence, rest]) => ({ sentence, ...rest }))
    .sort((a, b) => weight[a.finding.seriousness] - weight[b.finding.seriousness])
})
const toldBeside = computed(
  () => new Set(findings.value.filter(({ keys }) => keys.length > 2).map(({ sentence }) => sentence)),
)
const missing = computed(
  () => (view.value?.marks ?? []).filter(({ verdict }) => verdict === 'missing').length,
)
/** Readings that the judge knows from another bay of this exercise. */
const fromOtherBay = computed(
  () =>
    new Map(
      (view.value?.marks ?? []).flatMap(({ reading, findings: own }) =>
        own.flatMap(({ code, params }) => {
          const bay = code === 'band.outside' ? (params as { bay?: number }).bay : undefined
          return bay === undefined ? [] : [[reading, `bay ${bay}`] as const]
        }),
      ),
    ),
)
/** The picked reading's changes; the key of a mark may carry `reading.` in front. */
function historyOf(picked: string) {
  const key = picked.replace(/^reading\./, '')
  return view.value?.history.filter((change) => change.key === key)
}
const nameOf = (key: string) => itemName(`reading.${key}`, names.value)
const tabs = computed(() => [
  { id: '', name: 'All' },
  { id: 'supply', name: 'Supply' },
  ...(view.value?.circuits ?? []),
])
const wrongIn = (tab: string) =>
  (view.value?.marks ?? []).filter(
    ({ reading, verdict }) =>
      verdict === 'wrong' && (tab === 'supply' ? !reading.includes('.') : reading.startsWith(`${tab}.`)),
  ).length
</script>

<template>
  <div v-if="problem" class="page"><PageProblem :problem="problem" @retry="refresh" /></div>
  <div v-else-if="!view" class="page stack">
    <div v-for="i in 6" :key="i" class="skeleton" style="height: 44px" />
  </div>
  <div v-else class="desk">
    <section class="lines" tabindex="0" aria-label="Readings">
      <div class="row spread">
        <div>
          <h1>{{ view.attempt.name }}, bay {{ view.attempt.bay }}</h1>
          <p class="soft">
            {{ view.attempt.code }} {{ view.attempt.title }} · {{ EDITION_NAME[view.edition] }} ·
            {{ view.marks.length - missing }} readings<template v-if="missing"
              >, {{ missing }} still empty</template
            >
          </p>
        </div>
        <div class="row">
          <el-button size="small" @click="onlyOpen = !onlyOpen">{{
            onlyOpen ? 'All readings' : 'Only what stands out'
          }}</el-button><NuxtLink :to="`/marking/${view.attempt.id}`">Marking</NuxtLink>
        </div>
      </div>
      <div class="tabs" role="tablist" aria-label="Circuits">
        <button
          v-for="tab in tabs"
          :key="tab.id"
          type="button"
          role="tab"
          :aria-selected="circuit === tab.id"
          :class="{ on: circuit === tab.id }"
          @click="circuit = tab.id"
        >
          {{ tab.name }}<b v-if="tab.id && wrongIn(tab.id)" class="count">{{ wrongIn(tab.id) }}</b>
        </button>
      </div>
      <MarkedReadings
        :marks="onlyOpen ? marks.filter(({ verdict }) => verdict !== 'missing') : marks"
        :told-elsewhere="toldBeside"
        :selected="selected"
        @pick="selected = $event"
        :overrides="[]"
        :scopes="names"
        :only-open="onlyOpen"
      />
      <p
        v-if="
          onlyOpen &&
          marks.every(
            ({ verdict, findings: own }) =>
              verdict === 'missing' || (verdict === 'right' && own.length === 0),
          )
        "
        class="empty"
      >
        Nothing stands out here.
      </p>
      <RingPicture v-for="ring in ringsShown" :key="ring.circuit" :profile="ring" />
    </section>
    <aside tabindex="0" aria-label="Findings and causes">
      <h2>What stands out</h2>
      <p v-if="findings.length === 0 && view.process.length === 0" class="soft">
        Nothing: every reading that is there fits the bay.
      </p>
      <article
        v-for="{ sentence, finding, keys } in findings.slice(0, 9)"
        :key="sentence"
        class="found"
        :class="finding.seriousness"
        data-testid="finding"
      >
        <p class="small soft">
          {{ nameOf(keys[0]!) }}<template v-if="keys.length > 1"> and {{ keys.length - 1 }} more</template>
        </p>
        <p><TermText :text="sentence" /></p>
        <p v-if="finding.regulation" class="small soft">{{ finding.regulation }}</p>
      </article>
      <p v-if="findings.length > 9" class="small soft">and {{ findings.length - 9 }} more in the lines</p>
      <template v-if="view.process.length"
        ><h3>How it was gone about</h3>
        <p v-for="finding in view.process" :key="finding.code" class="found" :class="finding.seriousness">
          {{ findingSentence(finding) }}
        </p></template
      >
      <template v-if="view.questions.length"
        ><h3>Worth a question</h3>
        <p
          v-for="finding in view.questions"
          :key="finding.code + JSON.stringify(finding.params)"
          class="found note"
        >
          {{ findingSentence(finding) }}
        </p></template
      >
      <ReadingHistory
        v-if="selected && historyOf(selected)"
        :changes="historyOf(selected)!"
        :name="nameOf(selected.replace(/^reading\./, ''))"
      />
      <h2>What may be behind it</h2>
      <el-button
        v-if="progress === null"
        data-testid="find-cause"
        @click="search(view.rig, view.readings, fromOtherBay)"
        >{{ diagnosis ? 'Look again' : 'Look for causes' }}</el-button
      >
      <el-progress
        v-else
        :percentage="Math.round(progress * 100)"
        :stroke-width="10"
        aria-label="Looking for causes"
      />
      <CauseList v-if="diagnosis" :rig="view.rig" :diagnosis="diagnosis" :names="names" />
    </aside>
  </div>
</template>

<style scoped>
.desk {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 392px;
  height: calc(100vh - 60px);
}
.lines {
  overflow: auto;
  padding: 14px 16px 24px 20px;
  display: flex;
  flex-direction: column;
  gap: 12px;
}
aside {
  overflow: auto;
  padding: 16px 20px 28px;
  border-left: 1px solid var(--hem);
  background: var(--panel);
  display: flex;
  flex-direction: column;
  gap: 10px;
}
aside h2 {
  font-size: 19px;
}
aside h2:not(:first-child) {
  margin-top: 10px;
  border-top: 1.5px dashed var(--hem-strong);
  padding-top: 14px;
}
h3 {
  font-size: 15.5px;
}
.found {
  border-left: 4px dotted var(--hem-strong);
  padding: 2px 0 2px 12px;
  line-height: 1.35;
  font-size: 15px;
}
.found.critical {
  border-left: 4px solid var(--madder);
}
.found.fault {
  border-left: 4px dashed var(--madder);
}
.tabs {
  display: flex;
  gap: 4px;
  flex-wrap: wrap;
  border-bottom: 1px solid var(--hem);
}
.tabs button {
  all: unset;
  cursor: pointer;
  padding: 8px 12px;
  font-size: 14.5px;
  font-weight: var(--strong);
  border-bottom: 3px solid transparent;
}
.tabs button.on {
  border-bottom-color: var(--indigo);
  color: var(--indigo-text);
}
.tabs button:focus-visible {
  outline: 2.5px solid var(--indigo);
}
.count {
  margin-left: 6px;
  background: var(--madder);
  color: var(--on-madder);
  border-radius: 9px;
  padding: 0 7px;
  font-size: 12.5px;
}
@media (max-width: 1000px) {
  .desk {
    grid-template-columns: 1fr;
    height: auto;
  }
  aside {
    border-left: 0;
  }
}
.lines :deep(.line.reading) {
  grid-template-columns: 12px minmax(120px, 172px) 104px 190px 78px minmax(150px, 1fr);
}
</style>
