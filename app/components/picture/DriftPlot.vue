<script setup lang="ts">
import { scaleLinear } from 'd3-scale'
import type { Drift } from '#core/statistics/drift'
import { driftSays } from '#words/picture/says'

/** Readings of each bay or instrument against all others, with their intervals. */
const { rows, head } = defineProps<{ rows: readonly Drift[]; head: string }>()
const emit = defineEmits<{ pick: [of: string] }>()
const WIDTH = 320
const x = scaleLinear([-0.2, 0.2], [6, WIDTH - 6]).clamp(true)
const TICKS = [-0.2, -0.1, 0, 0.1, 0.2]
const shown = computed(() =>
  [...rows]
    .filter(({ excess }) => excess !== null)
    .sort((a, b) => Math.abs(b.excess!.by) - Math.abs(a.excess!.by)),
)
const few = computed(() => rows.filter(({ excess }) => excess === null))
const named = computed(() => rows.filter(({ is }) => is === 'drifts'))
const percent = (share: number) => `${share > 0 ? '+' : ''}${Math.round(100 * share)} %`
</script>

<template>
  <section class="stack">
    <h2>{{ head }}</h2>
    <p v-for="row in named" :key="row.of" class="caution" data-testid="drift">{{ driftSays(row) }}</p>
    <p v-if="named.length === 0 && shown.length" class="soft small">None that could not be chance.</p>
    <table v-if="shown.length" class="grid-table">
      <thead>
        <tr>
          <th />
          <th class="num">Readings</th>
          <th>
            <svg :width="WIDTH" height="14" aria-hidden="true">
              <text v-for="tick in TICKS" :key="tick" :x="x(tick)" y="11" text-anchor="middle">
                {{ percent(tick) }}
              </text>
            </svg>
          </th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="row in shown" :key="row.of">
          <td>
            <button type="button" class="text-button" @click="emit('pick', row.of)">{{ row.of }}</button>
          </td>
          <td class="num">{{ row.n }}</td>
          <td>
            <svg :width="WIDTH" height="18" role="img" :aria-label="driftSays(row)">
              <line :x1="x(0)" :x2="x(0)" y1="0" y2="18" class="zero" />
              <line
                :x1="x(row.excess!.low)"
                :x2="x(row.excess!.high)"
                y1="9"
                y2="9"
                class="span"
                :class="row.is"
              />
              <circle :cx="x(row.excess!.by)" cy="9" r="4" :class="row.is" />
              <title>{{ driftSays(row) }}</title>
            </svg>
          </td>
        </tr>
      </tbody>
    </table>
    <p v-if="few.length" class="soft small">
      Too few readings to say: {{ few.map(({ of, n }) => `${of} (${n})`).join(', ') }}.
    </p>
  </section>
</template>

<style scoped>
text {
  font: var(--mid) 11.5px var(--mono);
  fill: var(--soft);
}
.zero {
  stroke: var(--hem-strong);
}
.span {
  stroke: var(--indigo);
  stroke-width: 2;
}
circle {
  fill: var(--indigo);
}
.span.drifts {
  stroke: var(--madder);
}
circle.drifts {
  fill: var(--madder);
}
</style>
