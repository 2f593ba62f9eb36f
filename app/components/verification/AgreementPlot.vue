<script setup lang="ts">
import { scaleLinear } from 'd3-scale'
import type { AgreementRow } from '#schemas/evidence-views'
import { agreementSays, biasSays } from '#words/evidence/verification'

/** κ with its interval, a line each; the table beside it says the same. */
const { rows } = defineProps<{ rows: readonly AgreementRow[] }>()
const WIDTH = 300
const scale = scaleLinear()
  .domain([-0.2, 1])
  .range([6, WIDTH - 6])
  .clamp(true)
const TICKS = [0, 0.25, 0.5, 0.75, 1]
</script>

<template>
  <table class="grid-table">
    <thead>
      <tr>
        <th>Of</th>
        <th class="num">Judged twice</th>
        <th class="num">Same</th>
        <th>
          <svg :width="WIDTH" height="16" aria-hidden="true">
            <text v-for="tick in TICKS" :key="tick" :x="scale(tick)" y="12" text-anchor="middle">
              {{ tick }}
            </text>
          </svg>
        </th>
        <th>Cohen’s κ</th>
      </tr>
    </thead>
    <tbody>
      <tr v-for="row in rows" :key="row.of">
        <td>
          <b>{{ row.of }}</b>
        </td>
        <td class="num">{{ row.agreement.pairs }}</td>
        <td class="num">{{ Math.round(100 * row.agreement.same) }} %</td>
        <td>
          <svg
            :width="WIDTH"
            height="22"
            role="img"
            :aria-label="`${row.of}: ${agreementSays(row.agreement)}`"
          >
            <line
              v-for="tick in TICKS"
              :key="tick"
              class="tick"
              :x1="scale(tick)"
              :x2="scale(tick)"
              y1="0"
              y2="22"
            />
            <template v-if="row.agreement.plain">
              <line
                class="span"
                :x1="scale(row.agreement.plain.low)"
                :x2="scale(row.agreement.plain.high)"
                y1="11"
                y2="11"
              />
              <circle :cx="scale(row.agreement.plain.kappa)" cy="11" r="5" />
            </template>
          </svg>
        </td>
        <td>
          {{ agreementSays(row.agreement) }} <span class="soft small">{{ biasSays(row.agreement) }}</span>
        </td>
      </tr>
    </tbody>
  </table>
</template>

<style scoped>
.tick {
  stroke: var(--hem);
}
.span {
  stroke: var(--indigo);
  stroke-width: 4;
  stroke-linecap: round;
}
circle {
  fill: var(--turmeric);
  stroke: var(--indigo-text);
  stroke-width: 2;
}
text {
  fill: var(--soft);
  font: 11px var(--mono);
}
</style>
