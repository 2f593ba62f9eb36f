<script setup lang="ts">
import { findingSentence } from '#words/findings/findings'
import { readingText } from '#words/testing'
import { kindOf } from '#core/testing/kinds/kinds'
import { polarity } from '#core/testing/kinds/polarity'
import { r1r2 } from '#core/testing/kinds/r1r2'
import type { ReadingMark } from '#core/testing/judge/judge'
import type { EnergiseRequestView, FloorPatch } from '#schemas/views'
import { expectedWords, readingWords } from '~/texts/marks'

const props = defineProps<{ patch: FloorPatch; now: string }>()
const emit = defineEmits<{ permit: [seen: string]; refuse: [marks: readonly ReadingMark[]] }>()
const {
  data: request,
  problem,
  refresh,
} = useServer<EnergiseRequestView>(() => `floor/requests/${props.patch.id}?version=${props.patch.version}`)

const marks = computed(() => request.value?.marks ?? [])
const gate = computed(() => request.value?.gate)
const continuity = computed(() => marks.value.find((mark) => kindOf(mark.reading).key === r1r2.key))
const board = computed(() => request.value?.board)
const asked = computed(() => marks.value.filter(({ outOf }) => outOf > 0))
const findings = computed(() =>
  marks.value.flatMap((mark) =>
    mark.findings
      .filter((f) => f.seriousness !== 'note')
      .map((finding) => ({ name: readingText(mark.reading).name, finding })),
  ),
)
const lowest = computed(() => {
  const insulation = marks.value.filter(
    (mark) => kindOf(mark.reading).fit.by === 'decades' && mark.value !== undefined,
  )
  return insulation.length ? readingWords(insulation.reduce((a, b) => (b.value! < a.value! ? b : a))) : '–'
})
const polarityTyped = computed(
  () => marks.value.find((mark) => kindOf(mark.reading).key === polarity.key)?.typed || '–',
)
type Inspection = NonNullable<NonNullable<EnergiseRequestView['board']>['inspection']>
const inspectionWords = ({ looked, of, open, isSafeToTest }: Inspection): string =>
  [
    `${looked} of ${of}`,
    ...(open ? [`${open} observed`] : []),
    ...(isSafeToTest ? ['nothing seen against testing'] : []),
  ].join(', ')
</script>

<template>
  <article
    class="stitched request"
    :class="gate && !gate.open ? 'stop' : 'waiting'"
    :data-testid="`request-${patch.bay}`"
  >
    <div class="row spread">
      <h3>Bay {{ patch.bay }} · {{ patch.name }}</h3>
      <span class="tag waiting">{{ minutesBetween(patch.lastAct!.at, now) }}</span>
    </div>
    <ServerProblem v-if="problem" :problem="problem" @retry="refresh" />
    <div v-else-if="!gate" class="skeleton" style="height: 96px" />
    <template v-else-if="board">
      <dl>
        <div>
          <dt>Dead tests</dt>
          <dd class="mono">{{ asked.length - gate.missing.length }} of {{ asked.length }}</dd>
        </div>
        <div>
          <dt>Checked before</dt>
          <dd class="mono">{{ board.checked }} of {{ board.ofChecks }}</dd>
        </div>
        <div>
          <dt>Inspection</dt>
          <dd>
            {{ board.inspection ? inspectionWords(board.inspection) : 'not begun' }}
          </dd>
        </div>
        <div>
          <dt>Instrument</dt>
          <dd>{{ board.instrument || 'not named' }}</dd>
        </div>
      </dl>
      <p
        v-for="finding in board.findings.slice(0, 3)"
        :key="finding.code + JSON.stringify(finding.params)"
        class="finding"
        :class="finding.seriousness"
      >
        {{ findingSentence(finding) }}
      </p>
      <p v-if="board.findings.length > 3" class="small soft">and {{ board.findings.length - 3 }} more</p>
      <p class="row">
        <NuxtLink :to="`/schedules/${patch.id}`">Open the schedule</NuxtLink
        ><NuxtLink :to="`/inspect/${patch.id}`">Inspection</NuxtLink>
      </p>
    </template>
    <template v-else-if="continuity">
      <dl>
        <div>
          <dt>R1 + R2, furthest point</dt>
          <dd class="mono">{{ readingWords(continuity) }}</dd>
        </div>
        <div>
          <dt>Lowest insulation</dt>
          <dd class="mono">{{ lowest }}</dd>
        </div>
        <div>
          <dt>Polarity</dt>
          <dd class="mono">{{ polarityTyped }}</dd>
        </div>
      </dl>
      <LazyBandGauge
        wide
        :value="continuity.value"
        :low="continuity.expected.low"
        :high="continuity.expected.high"
        :limit="continuity.expected.limit?.value"
        limit-kind="maximum"
        :verdict="continuity.verdict"
        :label="expectedWords(continuity)"
      />
      <p class="small soft">expected {{ expectedWords(continuity) }}</p>
      <p v-for="{ name, finding } in findings" :key="name + finding.code" class="finding">
        <b>{{ name }}:</b> {{ findingSentence(finding) }}
      </p>
    </template>
    <p v-if="gate && !gate.open" class="finding">
      <b>Cannot be permitted:</b>
      {{ gate.missing.length ? 'the dead tests are not complete.' : 'a dead test is past its limit.' }}
    </p>
    <div class="row acts">
      <el-button v-if="gate?.open" type="primary" @click="emit('permit', request!.seen)"
        >Permit to energise</el-button
      >
      <el-button @click="emit('refuse', marks)">Not yet…</el-button>
    </div>
  </article>
</template>

<style scoped>
.request {
  background: var(--raised);
  display: flex;
  flex-direction: column;
  gap: 6px;
}
h3 {
  font-size: 17px;
}
dl {
  margin: 0;
}
dl > div {
  display: flex;
  justify-content: space-between;
  padding: 1px 0;
}
dt {
  font-size: 15px;
}
dd {
  margin: 0;
  font-size: 15.5px;
  font-weight: var(--strong);
}
.finding.note {
  color: var(--ink);
}
.finding {
  color: var(--madder-text);
  font-size: 14.5px;
  line-height: 1.35;
}
.acts {
  margin-top: 4px;
}
.acts :deep(.el-button) {
  flex: 1;
  min-height: 48px;
  font-size: 16px;
}
</style>
