<script setup lang="ts">
import { scaleLog } from 'd3-scale'
import { area, line as curve } from 'd3-shape'
import { openingBand } from '#core/bay/protection/band'
import type { Device } from '#core/regulations/devices'
import { formatDuration } from '#core/units/format'

/**
 * Opening time over current, log by log: the band of its kind, a device in the middle of it, and a point that
 * can be moved.
 */
const props = defineProps<{ device: Device; ratingA: number; currentA: number }>()
const W = 620
const H = 330
const LEFT = 62
const BOTTOM = 40
const LONGEST_S = 7200
const SHORTEST_S = 0.01
const STEPS = 160

const moved = ref(props.currentA)
watch(
  () => props.currentA,
  (next) => (moved.value = next),
)
const [least, most] = [1, 40]
const x = computed(() => scaleLog([least * props.ratingA, most * props.ratingA], [LEFT, W - 12]))
const y = scaleLog([SHORTEST_S, LONGEST_S], [H - BOTTOM, 12])
const at = (s: number) => y(Math.min(LONGEST_S, Math.max(SHORTEST_S, s)))
const samples = computed(() =>
  Array.from({ length: STEPS + 1 }, (_, i) => {
    const current = least * props.ratingA * (most / least) ** (i / STEPS)
    return { current, ...openingBand(props.device, props.ratingA, current) }
  }),
)
type Sample = (typeof samples.value)[number]
const xOf = ({ current }: Sample) => x.value(current)
const line = (key: 'earliestS' | 'latestS' | 'usualS') =>
  curve<Sample>(xOf, (sample) => at(sample[key]))(samples.value) ?? ''
const band = computed(
  () =>
    area<Sample>(
      xOf,
      ({ earliestS }) => at(earliestS),
      ({ latestS }) => at(latestS),
    )(samples.value) ?? '',
)
const shown = computed(() => Math.min(most * props.ratingA, Math.max(least * props.ratingA, moved.value)))
const here = computed(() => openingBand(props.device, props.ratingA, shown.value))
const words = (s: number) => (s === Infinity ? 'not at all' : formatDuration(s))
const TIMES = [
  [0.01, '10 ms'],
  [0.1, '100 ms'],
  [1, '1 s'],
  [10, '10 s'],
  [60, '1 min'],
  [600, '10 min'],
  [3600, '1 h'],
] as const
const MULTIPLES = [1, 1.45, 2.55, 5, 10, 20]
const fromTo = computed(() => `${words(here.value.earliestS)} to ${words(here.value.latestS)}`)
const atLatest = computed(() =>
  here.value.latestS === Infinity ? 'or not at all' : `${words(here.value.latestS)} at the latest`,
)
</script>

<template>
  <figure>
    <svg
      :viewBox="`0 0 ${W} ${H}`"
      role="img"
      :aria-label="`Opening time of ${device.curve ?? ''}${ratingA} at ${shown.toFixed(1)} A: ${fromTo}`"
    >
      <g v-for="[s, name] in TIMES" :key="s">
        <line class="grid" :x1="LEFT" :x2="W - 12" :y1="at(s)" :y2="at(s)" />
        <text class="tick end" :x="LEFT - 8" :y="at(s) + 4">{{ name }}</text>
      </g>
      <g v-for="m in MULTIPLES" :key="m">
        <line class="grid" :x1="x(m * ratingA)" :x2="x(m * ratingA)" y1="12" :y2="H - BOTTOM" />
        <text class="tick mid" :x="x(m * ratingA)" :y="H - BOTTOM + 17">{{ m }} In</text>
      </g>
      <text class="tick mid soft" :x="(W + LEFT) / 2" :y="H - 4">
        current, from {{ ratingA }} A to {{ most * ratingA }} A
      </text>
      <path class="band" :d="band" />
      <path class="usual" :d="line('usualS')" />
      <line class="plumb" :x1="x(shown)" :x2="x(shown)" y1="12" :y2="H - BOTTOM" />
      <circle class="point" :cx="x(shown)" :cy="at(here.usualS)" r="8" />
    </svg>
    <figcaption>
      <el-slider
        v-model="moved"
        :min="least * ratingA"
        :max="most * ratingA"
        :step="0.1"
        :show-tooltip="false"
        aria-label="Current"
      />
      <p class="mono">
        <b>{{ shown.toFixed(1) }} A</b> = {{ (shown / ratingA).toFixed(2) }} In: opens
        {{
          here.earliestS === Infinity
            ? 'not at all'
            : `after ${words(here.earliestS)} at the earliest, ${atLatest}`
        }}
      </p>
    </figcaption>
  </figure>
</template>

<style scoped>
figure {
  margin: 0;
}
svg {
  width: 100%;
  background: var(--raised);
  border: 1px solid var(--hem);
}
.grid {
  stroke: var(--hem);
}
.tick {
  font: var(--mid) 12px var(--mono);
  fill: var(--soft);
}
.end {
  text-anchor: end;
}
.mid {
  text-anchor: middle;
}
.band {
  fill: var(--indigo-wash);
  stroke: none;
}
.usual {
  fill: none;
  stroke: var(--indigo);
  stroke-width: 2.2;
  stroke-dasharray: 9 4;
}
.plumb {
  stroke: var(--turmeric);
  stroke-width: 1.5;
  stroke-dasharray: 4 4;
}
.point {
  fill: var(--turmeric);
  stroke: var(--ink);
  stroke-width: 1.5;
  transition:
    cx 0.15s,
    cy 0.15s;
}
figcaption {
  padding: 0 10px;
}
</style>
