<script setup lang="ts">
import { path } from 'd3-path'
import type { Coverage } from '#core/assessment/outcomes/coverage'

/**
 * A criterion as stitches: one sewn for each occasion met, two holes for each to come, a knot when complete,
 * a loop where not yet.
 */
const props = withDefaults(defineProps<{ coverage: Coverage; label?: string; step?: number }>(), {
  label: undefined,
  step: 30,
})
const GAP = 7
const open = computed(
  () => props.coverage.occasions.some((occasion) => !occasion.met) && !props.coverage.isComplete,
)
const words = computed(
  () =>
    `${props.label ?? props.coverage.criterion.code}: ${props.coverage.met} of ${props.coverage.wanted} occasions${open.value ? ', one not yet' : ''}`,
)
const width = computed(() => props.coverage.wanted * props.step + 16)
/** The thread of the next stitch, still in a loop. */
const loopPath = (x: number): string => {
  const s = props.step
  const thread = path()
  thread.moveTo(x, 10)
  thread.bezierCurveTo(x + s / 5, -2, x + s / 2, -2, x + 0.3 * s, 7)
  thread.bezierCurveTo(x + 0.3 * s - s / 8, 12, x + 0.3 * s + 2, 13, x + 0.3 * s + s / 3, 10)
  return String(thread)
}
</script>

<template>
  <svg class="stitch" :width="width" height="16" :viewBox="`0 0 ${width} 16`" role="img" :aria-label="words">
    <title>{{ words }}</title>
    <template v-for="i in coverage.wanted" :key="i">
      <rect
        v-if="i <= coverage.met"
        class="sewn"
        :class="{ complete: coverage.isComplete }"
        :x="(i - 1) * step + 2"
        y="6"
        :width="step - GAP"
        height="5"
        rx="2.5"
      />
      <path v-else-if="open && i === coverage.met + 1" class="loop" :d="loopPath((i - 1) * step + 3)" />
      <template v-else>
        <circle class="hole" :cx="(i - 1) * step + 5" cy="8.500" r="2.200" />
        <circle class="hole" :cx="(i - 0.3) * step" cy="8.500" r="2.200" />
      </template>
    </template>
    <path
      v-if="coverage.isComplete"
      class="sewn complete"
      :d="`M${width - 14} 8.500q5 -7 10 0q-5 7 -10 0z`"
    />
  </svg>
</template>

<style scoped>
.stitch {
  display: block;
}
.sewn {
  fill: var(--indigo);
}
.sewn.complete {
  fill: var(--leaf);
}
.hole {
  fill: none;
  stroke: var(--hem-strong);
  stroke-width: 1.3;
}
.loop {
  fill: none;
  stroke: var(--madder);
  stroke-width: 2.2;
  stroke-linecap: round;
}
</style>
