<script setup lang="ts">
import type { CircuitDesign } from '#core/design/reference'
import { stepWords } from '#core/design/model/step-kinds'
import type { StepKey } from '#core/design/model/step-keys'
import { formatNumber } from '#core/units/format'

/**
 * A circuit's own piece of the single-line diagram, in the row where it is typed: bar, device, cable, limits
 * used.
 */
const props = defineProps<{
  design: CircuitDesign | undefined
  depth: number
  isRing: boolean
  isThree: boolean
  curve: string
}>()
const value = (step: StepKey) => props.design?.values[step]
const words = (step: StepKey) => (value(step) === undefined ? '' : stepWords(step, value(step)!))
const stopped = computed(() => props.design?.stopped)
const x = computed(() => 10 + props.depth * 18)
/** Share of the limit, for the two small bars. */
const share = (used: number | undefined, limit: number | undefined) =>
  used === undefined || !limit ? 0 : Math.min(1, used / limit)
const drop = computed(() => {
  const step = props.design?.steps.find(({ key }) => key === 'voltDropTotal')
  return step
    ? { share: share(step.value, step.check!.limit), text: `${formatNumber(step.value, 'percent')} %` }
    : null
})
const loop = computed(() =>
  value('zsMax') === undefined
    ? null
    : { share: share(value('zs'), value('zsMax')), text: stepWords('zs', value('zs')!) },
)
</script>

<template>
  <svg
    viewBox="0 0 330 34"
    class="line"
    :class="{ failed: stopped }"
    role="img"
    :aria-label="stopped ? 'no solution' : `${curve}${words('in')}, ${words('csa')}`"
  >
    <line class="bar" :x1="x" :x2="x" y1="-8" y2="42" />
    <line class="wire" :x1="x" x2="176" y1="17" y2="17" />
    <line v-if="isThree" class="wire" :x1="x" x2="176" y1="20" y2="20" />
    <circle class="dot" :cx="x" cy="17" r="3" />
    <rect class="box" :x="x + 10" y="7" width="44" height="20" :rx="curve === '–' ? 9 : 2" />
    <text class="device" :x="x + 32" y="22">
      {{ curve === '–' ? 'F' : curve }}{{ words('in').replace(' A', '') || '?' }}
    </text>
    <g v-if="value('residual')">
      <circle class="box ring" :cx="x + 68" cy="17" r="10.5" />
      <text class="ring-text" :x="x + 68" y="21">{{ words('residual').replace(' mA', '') }}</text>
    </g>
    <text class="csa" :x="x + 84" y="13">{{ words('csa') || '?' }}</text>
    <circle v-if="isRing" class="wire loop" cx="176" cy="17" r="6" />
    <path v-else class="dot" d="M172 12l8 5l-8 5z" />
    <g v-if="drop">
      <rect class="track" x="190" y="6" width="54" height="5" />
      <rect
        class="used"
        x="190"
        y="6"
        :width="54 * drop.share"
        height="5"
        :class="{ tight: drop.share > 0.9 }"
      />
      <text class="small" x="190" y="26">{{ drop.text }}</text>
    </g>
    <g v-if="loop">
      <rect class="track" x="262" y="6" width="54" height="5" />
      <rect
        class="used"
        x="262"
        y="6"
        :width="54 * loop.share"
        height="5"
        :class="{ tight: loop.share > 0.9 }"
      />
      <text class="small" x="262" y="26">{{ loop.text }}</text>
    </g>
  </svg>
</template>

<style scoped>
.line {
  width: 330px;
  height: 34px;
  display: block;
  overflow: visible;
}
.bar {
  stroke: var(--ink);
  stroke-width: 4;
}
.wire {
  stroke: var(--ink);
  stroke-width: 1.3;
  fill: none;
}
.loop {
  fill: var(--panel);
}
.dot {
  fill: var(--ink);
}
.box {
  fill: var(--raised);
  stroke: var(--ink);
  stroke-width: 1.3;
}
.ring {
  stroke: var(--indigo);
  stroke-dasharray: 4 2.5;
}
.device {
  font: var(--heavy) 13px var(--mono);
  text-anchor: middle;
  fill: var(--ink);
}
.ring-text {
  font: var(--strong) 10px var(--mono);
  text-anchor: middle;
  fill: var(--indigo-text);
}
.csa {
  font: var(--strong) 12.5px var(--mono);
  fill: var(--ink);
}
.small {
  font: var(--strong) 12px var(--mono);
  fill: var(--soft);
}
.track {
  fill: var(--hem);
}
.used {
  fill: var(--leaf);
}
.used.tight {
  fill: var(--turmeric);
}
.failed .box {
  stroke: var(--madder);
  stroke-width: 2.2;
}
</style>
