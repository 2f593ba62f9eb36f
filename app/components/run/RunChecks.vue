<script setup lang="ts">
import { holeProblems, notchProblems, clipSpacingMm, isInZone } from '#core/containment/surface'
import { spacingMm } from '#core/containment/supports'
import type { RunSheet } from '#core/containment/form'
import type { Pull } from '#core/containment/draw'
import { PULL_NAME } from '#words/containment'

/**
 * What follows from a run beside its bends: draw points and pull, fill, supports, expansion; and cables that
 * run on surfaces and through joists.
 */
const props = defineProps<{
  sheet: RunSheet
  sections: readonly {
    readonly straight: number
    readonly lengthMm: number
    readonly rightAngles: number
    readonly pull: Pull
    readonly factor: number
    readonly terms: number | null
    readonly takes: number | null
  }[]
  supports: number
  expansion: readonly number[]
  mayDesign: boolean
}>()
const isDrawn = computed(() => props.sheet.run.made === 'conduit')
const spacings = computed(() => [spacingMm(props.sheet.run, false), spacingMm(props.sheet.run, true)])
const joist = reactive({ span: 4000, depth: 200, from: 1200, hole: 25, next: 100, notch: 0 })
const cable = reactive({ diameter: 10, top: 400, corner: 900, inLine: true })
const JOIST = {
  holePlace: 'Drill between a quarter and two fifths of the span.',
  holeSize: 'The hole is larger than a quarter of the depth.',
  tooClose: 'Leave three diameters to the next hole.',
  shallow: 'Less than 50 mm of wood above or below: a nail would reach.',
  notchPlace: 'Notch between 0.07 and a quarter of the span.',
  notchDepth: 'The notch is deeper than an eighth of the depth.',
}
const found = computed(() =>
  joist.notch > 0
    ? notchProblems(
        { spanMm: joist.span, depthMm: joist.depth },
        { fromSupportMm: joist.from, depthMm: joist.notch },
      )
    : holeProblems(
        { spanMm: joist.span, depthMm: joist.depth },
        { fromSupportMm: joist.from, diameterMm: joist.hole, toNextMm: joist.next },
      ),
)
const clips = computed(() => [clipSpacingMm(cable.diameter, false), clipSpacingMm(cable.diameter, true)])
</script>

<template>
  <div class="columns">
    <section>
      <h3>{{ isDrawn ? 'From draw point to draw point' : 'From box to box' }}</h3>
      <table>
        <thead>
          <tr>
            <th>To</th>
            <th class="num">m</th>
            <th class="num">right angles</th>
            <th v-if="isDrawn">Pull</th>
            <th v-if="sheet.areasMm2.length">Fill</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="(section, i) in sections" :key="i">
            <td>straight {{ section.straight + 1 }}</td>
            <td class="num mono">{{ (section.lengthMm / 1000).toFixed(2) }}</td>
            <td
              class="num mono"
              :class="{ bad: isDrawn && section.rightAngles > sheet.mostRightAngles + 0.01 }"
            >
              {{ section.rightAngles.toFixed(1) }}
            </td>
            <td v-if="isDrawn">
              {{ PULL_NAME[section.pull] }} <span class="soft mono">×{{ section.factor.toFixed(1) }}</span>
            </td>
            <td
              v-if="sheet.areasMm2.length"
              class="mono"
              :class="{
                bad: section.terms !== null && section.takes !== null && section.terms > section.takes,
              }"
            >
              {{ section.terms === null ? 'no term' : Math.round(section.terms)
              }}<template v-if="section.takes !== null"> of {{ Math.round(section.takes) }}</template>
            </td>
          </tr>
        </tbody>
      </table>
      <p class="soft small">
        <template v-if="isDrawn"
          >At most {{ sheet.mostRightAngles }} right angles between draw points: common practice; each bend
          multiplies the pull. </template
        ><template v-else>Cables are laid in with the lid off, so corners do not count. </template>Fill by the
        factors of the On-Site Guide, Appendix E.
      </p>
      <h3>Supports</h3>
      <p>
        <b class="mono">{{ supports }}</b> {{ sheet.run.made === 'conduit' ? 'saddles' : 'fixings' }} a bay:
        at most {{ spacings[0]! / 1000 }} m across, {{ spacings[1]! / 1000 }} m upright (On-Site Guide Table
        D3, from memory), one within 150 mm of each bend and box.
      </p>
      <template v-if="expansion.length"
        ><h3>Expansion</h3>
        <p>
          Over {{ sheet.spanK }} K a straight grows up to
          <b class="mono">{{ Math.max(...expansion).toFixed(1) }} mm</b>: leave that in its spout, do not glue
          both ends.
        </p></template
      >
      <p v-else-if="sheet.run.made !== 'conduit'" class="soft">
        Steel: a link of copper across every joint, lids on; entries bushed. It may be an earth path and is
        measured like one.
      </p>
      <p v-else class="soft">
        Steel: every coupler and bush tight, paint off at the contact; the conduit may be an earth path and is
        measured like one. Entries from above keep IP4X, from the side IP2X.
      </p>
    </section>
    <section>
      <IntoDesign v-if="mayDesign" :sheet="sheet" />
      <h3>Cable on a surface or in a wall</h3>
      <p class="boxes">
        <label class="field"
          ><span>diameter mm</span
          ><el-input v-model.number="cable.diameter" type="number" min="3" max="40" /></label
        ><label class="field"
          ><span>from the top mm</span><el-input v-model.number="cable.top" type="number" min="0" /></label
        ><label class="field"
          ><span>from the corner mm</span
          ><el-input v-model.number="cable.corner" type="number" min="0" /></label
        ><el-checkbox v-model="cable.inLine" label="in line with an accessory" />
      </p>
      <p>
        Clips at most every <b class="mono">{{ clips[0] ?? '–' }} mm</b> across,
        <b class="mono">{{ clips[1] ?? '–' }} mm</b> upright.
        {{
          isInZone({ fromTopMm: cable.top, fromCornerMm: cable.corner, inLineWithAccessory: cable.inLine })
            ? 'In a zone of 522.6.202.'
            : 'Outside the zones of 522.6.202: protect it mechanically, earth a cover, or move it.'
        }}
      </p>
      <h3>Through a joist</h3>
      <p class="boxes">
        <label class="field"
          ><span>span mm</span><el-input v-model.number="joist.span" type="number" min="500" /></label
        ><label class="field"
          ><span>depth mm</span><el-input v-model.number="joist.depth" type="number" min="50" /></label
        ><label class="field"
          ><span>from support mm</span><el-input v-model.number="joist.from" type="number" min="0" /></label
        ><label class="field"
          ><span>hole mm</span><el-input v-model.number="joist.hole" type="number" min="0" /></label
        ><label class="field"
          ><span>to the next mm</span><el-input v-model.number="joist.next" type="number" min="0" /></label
        ><label class="field"
          ><span>or notch mm</span><el-input v-model.number="joist.notch" type="number" min="0"
        /></label>
      </p>
      <p v-if="found.length === 0">That holds. On the centre line.</p>
      <p v-for="entry in found" :key="entry" class="bad">{{ JOIST[entry] }}</p>
      <p class="soft small">
        Building regulations guidance as the On-Site Guide quotes it, 7.3, from memory.
      </p>
    </section>
  </div>
</template>

<style scoped>
.columns {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 28px;
}
section {
  display: flex;
  flex-direction: column;
  gap: 8px;
}
h3 {
  margin-top: 6px;
}
table {
  border-collapse: collapse;
}
th,
td {
  text-align: left;
  padding: 4px 12px 4px 0;
  border-bottom: 1px solid var(--hem);
  font-size: 14.5px;
}
.num {
  text-align: right;
}
.bad {
  color: var(--madder-text);
  font-weight: var(--strong);
}
.boxes {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 12px;
  align-items: end;
}
.boxes .field {
  width: 118px;
}
</style>
