<script setup lang="ts">
import { scaleLinear, scaleLog } from 'd3-scale'

/** A reading against its expected band and its limit. All values in one unit. */
const props = defineProps<{
  value?: number
  /** The instrument ran off its range above `value`. */
  over?: boolean
  low?: number
  high?: number
  limit?: number
  limitKind?: 'maximum' | 'minimum'
  verdict?: 'right' | 'wrong' | 'missing' | 'carried'
  label: string
  wide?: boolean
}>()

const WIDTH = 210
const isLog = computed(() => props.limitKind === 'minimum')
const scale = computed(() => {
  const known = [props.value, props.low, props.high, props.limit].filter(
    (v): v is number => v !== undefined && Number.isFinite(v) && v > 0,
  )
  const top = Math.max(...known, 0.001) * 1.12
  if (isLog.value)
    return scaleLog([Math.min(...known, 1) / 2, Math.max(top, 1200)], [6, WIDTH - 6]).clamp(true)
  return scaleLinear([0, top], [6, WIDTH - 6]).clamp(true)
})
const x = (value: number) => scale.value(Math.max(value, isLog.value ? 1e-6 : 0))
const bandEnd = computed(() => (props.high === undefined ? WIDTH - 6 : x(props.high)))
</script>

<template>
  <svg class="gauge" :class="[verdict, { wide }]" :viewBox="`0 0 ${WIDTH} 22`" role="img" :aria-label="label">
    <line class="axis" x1="2" :x2="WIDTH - 2" y1="12" y2="12" />
    <rect
      v-if="low !== undefined"
      class="band"
      :x="x(low)"
      y="6"
      :width="Math.max(3, bandEnd - x(low))"
      height="12"
      rx="2"
    />
    <line v-if="limit !== undefined" class="limit" :x1="x(limit)" :x2="x(limit)" y1="2" y2="21" />
    <path
      v-if="value !== undefined"
      class="mark"
      :d="over ? `M${x(value) - 4} 7l8 5l-8 5z` : `M${x(value)} 13l-5 -10h10z`"
    />
  </svg>
</template>

<style scoped>
.gauge {
  width: 150px;
  height: 22px;
  display: block;
}
.gauge.wide {
  width: 210px;
}
.axis {
  stroke: var(--hem-strong);
  stroke-width: 1.5;
}
.band {
  fill: var(--leaf-wash);
  stroke: var(--leaf);
  stroke-width: 1;
  stroke-dasharray: 3 2;
}
.limit {
  stroke: var(--madder);
  stroke-width: 2.4;
}
.mark {
  fill: var(--ink);
}
.right .mark {
  fill: var(--leaf-text);
}
.wrong .mark {
  fill: var(--madder);
}
</style>
