<script setup lang="ts">
import type { SpotView } from '#schemas/workmanship-views'

/** A main switch, with its label or without. */
const props = defineProps<{ spot: SpotView }>()
const mid = computed(() => props.spot.x + props.spot.w / 2)
</script>

<template>
  <rect :x="spot.x" :y="spot.y" :width="spot.w" :height="spot.h" class="device main" />
  <rect :x="mid - 11" :y="spot.y + 26" width="22" height="40" class="lever red" />
  <text v-if="spot.look === 'marked'" :x="mid" :y="spot.y + spot.h - 8" class="tiny" text-anchor="middle">
    main
  </text>
</template>
