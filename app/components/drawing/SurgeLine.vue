<script setup lang="ts">
import { SURGE_BREAKER } from '#core/installation/surge'
import type { SurgeWays } from '#core/installation/installation'

/** The SPD of a board: from its bar through a device of its own to the earth bar. */
defineProps<{
  surge: SurgeWays
  phases: 1 | 3
  /** Of the bar, and of the end of the lines. */
  x: number
  end: number
}>()
</script>

<template>
  <g>
    <path class="wire" :d="`M${x} 0H${end}`" />
    <path v-if="phases === 3" class="wire" :d="`M${x} 3H${x + 112}`" />
    <circle class="dot" :cx="x" cy="0" r="3" />
    <rect class="box" :x="x + 16" y="-11" width="56" height="22" rx="2" />
    <text class="device" :x="x + 44" y="5">{{ SURGE_BREAKER.curve }}{{ SURGE_BREAKER.ratingA }}</text>
    <rect class="box" :x="x + 112" y="-11" width="42" height="22" />
    <path class="wire" :d="`M${x + 118} 7L${x + 146} -7m-8 0h8v6`" />
    <path class="wire" :d="`M${end} 0v4m-9 0h18m-15 4h12m-8 4h4`" />
    <text class="name" :x="end + 22" y="-1">SPD</text>
    <text class="small" :x="end + 22" y="14">way {{ surge.deviceWay }}, SPD in way {{ surge.way }}</text>
  </g>
</template>

<style scoped src="./single-line.css"></style>
