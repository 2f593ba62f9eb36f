<script setup lang="ts">
import { gainMm } from '#core/containment/bending'
import { ENTRY_MM, type ContainmentRun, type Former } from '#core/containment/containment-run'
import type { Tube } from '#core/containment/tubes'
import { DIRECTION_NAME } from '#words/containment'

/** What lies on the bench while somebody bends: each tube as a strip with its marks, in order, and which way. */
const props = defineProps<{ run: ContainmentRun; former: Former; tubes: readonly Tube[] }>()
const WIDTH = 760
const scaleOf = (tube: Tube) => WIDTH / tube.cutMm
const mm = (value: number) => Math.round(value)
function rollWords(roll: number | null): string {
  if (roll === null) return 'first bend: mark a line along the tube'
  if (roll === 0) return 'same plane, same way'
  return roll === 180
    ? 'turn the tube half round: same plane, other way'
    : `turn the tube ${roll}° to the right`
}
const gain = computed(() => gainMm(props.former, 90))
</script>

<template>
  <article class="card">
    <p class="facts">
      {{ run.material === 'pvc' ? 'PVC' : 'Steel' }} {{ run.sizeMm }} mm · radius
      <b class="mono">{{ mm(former.radiusMm) }}</b> · a right angle saves
      <b class="mono">{{ gain.toFixed(1) }} mm</b> · each end {{ ENTRY_MM[run.material] }} mm into its spout{{
        run.material === 'steel' ? ', threaded' : ''
      }}
      · deburr, bush at entries
    </p>
    <section v-for="tube in tubes" :key="tube.name" class="tube">
      <h3>
        {{ tube.name }} <span class="mono">cut {{ mm(tube.cutMm) }} mm</span>
      </h3>
      <svg
        :viewBox="`-8 0 ${WIDTH + 60} 84`"
        role="img"
        :aria-label="`${tube.name}, ${mm(tube.cutMm)} mm, ${tube.bends.length} bends`"
      >
        <rect x="0" y="34" :width="WIDTH" height="18" class="strip" />
        <g v-for="(bend, i) in tube.bends" :key="i">
          <rect
            :x="bend.fromMm * scaleOf(tube)"
            y="34"
            :width="(bend.toMm - bend.fromMm) * scaleOf(tube)"
            height="18"
            class="arc"
          />
          <line
            :x1="bend.markMm * scaleOf(tube)"
            :x2="bend.markMm * scaleOf(tube)"
            y1="24"
            y2="62"
            class="mark"
          />
          <text :x="bend.markMm * scaleOf(tube)" :y="i % 2 ? 78 : 18" text-anchor="middle" class="at">
            {{ i + 1 }} · {{ mm(bend.markMm) }}
          </text>
        </g>
        <text x="0" y="30" class="end">start</text>
      </svg>
      <ol v-if="tube.bends.length">
        <li v-for="(bend, i) in tube.bends" :key="i">
          <b class="mono">{{ mm(bend.markMm) }} mm</b> bend <b>{{ mm(bend.angleDeg) }}°</b>
          {{ DIRECTION_NAME[bend.towards] }}; overbend to about {{ mm(bend.bendToDeg) }}°, it springs back.
          <span class="soft">{{ rollWords(bend.rollDeg) }}.</span>
        </li>
      </ol>
      <p v-else class="soft">Straight.</p>
    </section>
    <p class="caution">
      Measure every mark from the same end. Steel: former and tube can slip, hands clear; eyes protected at
      the saw.
    </p>
  </article>
</template>

<style scoped>
.card {
  display: flex;
  flex-direction: column;
  gap: 12px;
}
.tube {
  break-inside: avoid;
  border-top: 1.5px dashed var(--hem-strong);
  padding-top: 8px;
}
h3 .mono {
  margin-left: 12px;
  color: var(--indigo-text);
}
svg {
  width: 100%;
  max-width: 860px;
  display: block;
}
.strip {
  fill: var(--raised);
  stroke: var(--ink);
  stroke-width: 1.5;
}
.arc {
  fill: var(--turmeric-wash, var(--indigo-wash));
  stroke: var(--turmeric);
  stroke-width: 1;
}
.mark {
  stroke: var(--madder);
  stroke-width: 2.4;
}
.at {
  font: var(--strong) 14px var(--mono);
  fill: var(--ink);
}
.end {
  font: var(--mid) 12px var(--font);
  fill: var(--soft);
}
ol {
  margin: 4px 0 0;
  padding-left: 22px;
}
li {
  line-height: 1.5;
}
</style>
