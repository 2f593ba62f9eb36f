<script setup lang="ts">
import { cornersOf, directionsOf, plus, type Vector } from '#core/containment/geometry'
import { readRun } from '#core/containment/form'
import { dimensionsOf, type Dimension } from '#core/containment/dimensions'
import { judgeRun } from '#core/containment/measure'
import { runVerdicts } from '#core/containment/parts-met'
import { DIRECTION_NAME, patternSentence } from '#words/containment'
import type { MeasureCloseBody, MeasurementView } from '#schemas/workmanship-views'

/**
 * Measuring a run at the bay: two taps for what is off, or what the tape says; drawn exaggerated, and told
 * what one cause may be behind it.
 */
definePageMeta({ layout: 'bay', roles: ['instructor', 'assessor', 'apprentice'] })
const id = Number(useRoute().params.id)
const { call } = useApi()
const { view, problem, autosave, load } = useKeptSheet<MeasurementView>(`measurements/${id}`, 'Measured run')
onMounted(load)

const sheet = computed(() => (view.value ? readRun(view.value.runFields).sheet : undefined))
const dimensions = computed(() => (sheet.value ? dimensionsOf(sheet.value.run) : []))
const judged = computed(() =>
  sheet.value
    ? judgeRun(sheet.value.run, sheet.value.former, autosave.fields, sheet.value.toleranceMm)
    : null,
)
const markOf = (dimension: Dimension) =>
  judged.value!.marks.find((mark) => mark.dimension.key === dimension.key)!
const typed = (key: string) => autosave.fields[key] ?? ''
const nameOf = ({ kind, straight, isVertical }: Dimension) =>
  ({
    length: `Leg ${straight + 1}, corner to corner`,
    height: `Height of the detour on ${straight + 1}`,
    travel: `Travel of the detour on ${straight + 1}`,
    way: `Leg ${straight + 1} goes ${DIRECTION_NAME[sheet.value!.run.straights[straight]!.to]}`,
    bubble: isVertical ? `Leg ${straight + 1} plumb` : `Leg ${straight + 1} level`,
  })[kind]
/** The largest deviation is drawn about so far off, mm. */
const SHOWN_MM = 130
const exaggerated = computed(() => {
  const most = Math.max(
    0,
    ...(judged.value?.marks ?? []).map(({ entry }) => (entry.is === 'off' ? Math.abs(entry.offMm) : 0)),
  )
  return most === 0 ? 0 : Math.max(1, Math.min(20, Math.round(SHOWN_MM / most)))
})
/** Corners where the measured lengths would put them, the deviations drawn larger than they are. */
const shifted = computed<readonly Vector[] | undefined>(() => {
  if (!sheet.value || !judged.value) return undefined
  const corners = cornersOf(sheet.value.run)
  const directions = directionsOf(sheet.value.run.straights)
  let shift: Vector = [0, 0, 0]
  let straight = -1
  return corners.map(({ at, straight: own }) => {
    if (own > straight) {
      straight = own
      const mark = judged.value!.marks.find(({ dimension }) => dimension.key === `s${own + 1}`)
      if (mark?.entry.is === 'off')
        shift = plus(shift, directions[own]!, mark.entry.offMm * exaggerated.value)
    }
    return plus(at, shift)
  })
})
const selected = ref<number | null>(null)
const done = computed(() => dimensions.value.filter(({ key }) => typed(key).trim() !== '').length)
const verdicts = computed(() => (sheet.value && judged.value ? runVerdicts(judged.value, sheet.value) : []))
const isClosing = ref(false)
async function close(decided: Pick<MeasureCloseBody, 'parts' | 'reason'>) {
  try {
    const version = await autosave.flush()
    view.value = await call<MeasurementView>('POST', `measurements/${id}/close`, { version, ...decided })
    isClosing.value = false
  } catch (error) {
    showProblem(error)
  }
}
</script>

<template>
  <div v-if="problem" class="page"><PageProblem :problem="problem" @retry="load" /></div>
  <div v-else-if="!view || !sheet || !judged" class="page stack">
    <div v-for="i in 5" :key="i" class="skeleton" style="height: 60px" />
  </div>
  <div v-else class="measure">
    <section class="list" tabindex="0" aria-label="Dimensions">
      <p class="soft">{{ view.person }} · measured by {{ view.assessor }}</p>
      <h1>{{ sheet.run.name }}</h1>
      <p class="row spread">
        <span
          ><b>{{ done }}</b> of {{ dimensions.length }} taken, tolerance ± {{ sheet.toleranceMm }} mm</span
        ><SaveWords v-if="view.mayChange" :autosave="autosave" />
      </p>
      <div
        v-for="dimension in dimensions"
        :key="dimension.key"
        class="dim"
        :class="{ wrong: markOf(dimension).isRight === false, right: markOf(dimension).isRight }"
        :data-testid="`dim-${dimension.key}`"
        @focusin="selected = dimension.straight"
        @click="selected = dimension.straight"
      >
        <p>
          <b>{{ nameOf(dimension) }}</b><span v-if="dimension.nominalMm" class="mono nominal">{{
            Math.round(dimension.nominalMm)
          }}</span>
        </p>
        <DimensionTaps
          :dimension="dimension"
          :name="nameOf(dimension)"
          :typed="typed(dimension.key)"
          :locked="!view.mayChange"
          @write="autosave.write(dimension.key, $event)"
        />
      </div>
    </section>
    <aside tabindex="0" aria-label="What it comes to">
      <div class="drawing">
        <RunDrawing
          :px="420"
          :run="sheet.run"
          :former="sheet.former"
          :selected="selected"
          :shifted="shifted"
          locked
          @select="selected = $event"
        />
      </div>
      <p v-if="exaggerated" class="small soft">
        As drawn, and over it as measured, with deviations drawn {{ exaggerated }} times larger.
      </p>
      <p class="score">
        <b class="mono">{{ judged.mark }}</b> of {{ judged.outOf }} within tolerance
      </p>
      <p v-for="pattern in judged.patterns" :key="pattern.is" class="stitched waiting" data-testid="pattern">
        {{ patternSentence(pattern) }}
      </p>
      <p
        v-if="judged.patterns.length === 0 && judged.marks.some(({ isRight }) => isRight === false)"
        class="soft"
      >
        No one cause explains all of it: look at each by itself.
      </p>
      <RunVerdictTable :verdicts="verdicts" :criteria="view.criteria" :decision="view.decision" />
      <el-button
        v-if="view.mayChange"
        type="primary"
        size="large"
        data-testid="close"
        @click="isClosing = true"
        >Close and give back…</el-button
      >
      <p v-else-if="view.decision" class="soft">
        Closed by {{ view.decision.by }}, {{ dayTime(view.decision.at) }}. In the record since then.<template
          v-if="view.decision.reason"
        >
          “{{ view.decision.reason }}”</template
        >
      </p>
    </aside>
    <CloseMeasurement
      :is-open="isClosing"
      :verdicts="verdicts"
      :person="view.person"
      @close="isClosing = false"
      @decide="close"
    />
  </div>
</template>

<style scoped>
.measure {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 460px;
  flex: 1;
  min-height: 0;
}
.list {
  padding: 16px 24px;
  overflow: auto;
  display: flex;
  flex-direction: column;
  gap: 8px;
}
aside {
  border-left: 1px solid var(--hem);
  background: var(--panel);
  padding: 16px 18px;
  overflow: auto;
  display: flex;
  flex-direction: column;
  gap: 12px;
}
.drawing {
  height: 300px;
  flex: none;
}
.dim {
  border-bottom: 1px solid var(--hem);
  padding: 8px 10px;
  border-left: 5px dotted var(--hem-strong);
}
.dim.right {
  border-left: 5px solid var(--leaf);
}
.dim.wrong {
  border-left: 5px dashed var(--madder);
  background: var(--madder-wash);
}
.dim p {
  display: flex;
  justify-content: space-between;
}
.nominal {
  font-size: 19px;
  font-weight: var(--heavy);
}
.score {
  font-size: 19px;
}
.score b {
  font-size: 28px;
}
@media (max-width: 960px) {
  .measure {
    grid-template-columns: 1fr;
  }
  aside {
    border-left: 0;
  }
}
</style>
