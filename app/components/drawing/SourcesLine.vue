<script setup lang="ts">
import type { Intake, Standby } from '#core/installation/installation'
import { STANDBY_NAME } from '#words/names'
import { formatQuantity } from '#core/units/format'

/** The grid and what stands by for it, each to one side of the change-over switch that feeds the first board. */
const props = defineProps<{
  intake: Intake
  standby: Standby
  /** Of the bar below, and of the end of the lines. */
  x: number
  end: number
}>()
const source = computed(() => {
  const { source: kind, powerW } = props.standby
  return `${STANDBY_NAME[kind]}, ${formatQuantity(powerW, 'power')}, on standby`
})
</script>

<template>
  <g>
    <path class="wire" :d="`M${x + 22} -9H${end}M${x + 22} 9H${end}`" />
    <path class="wire heavy" :d="`M${x} 31V0l19 -8`" />
    <circle class="contact" :cx="x + 22" cy="-9" r="3" />
    <circle class="contact" :cx="x + 22" cy="9" r="3" />
    <circle class="pivot" :cx="x" cy="0" r="3.5" />
    <text class="small" :x="x + 40" y="4">Change-over switch, all live conductors</text>
    <path class="mark" :d="`M${end} -9l8 -5v10z`" />
    <rect class="contact" :x="end" y="2" width="14" height="14" />
    <text class="name" :x="end + 22" y="-5">Grid, {{ intake.arrangement }}</text>
    <text class="small" :x="end + 22" y="13">{{ source }}</text>
  </g>
</template>

<style scoped src="./single-line.css"></style>

<style scoped>
.heavy {
  stroke-width: 2.4;
}
.contact {
  fill: var(--raised);
  stroke: var(--ink);
  stroke-width: 1.4;
}
.pivot,
.mark {
  fill: var(--ink);
}
</style>
