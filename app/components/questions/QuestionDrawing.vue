<script setup lang="ts">
import { DRAWINGS, DRAWING_SIZE, type DrawingCode } from '#core/questions/drawings'

/** A drawing to point at: by tap, or with Tab and Enter. */
const { drawing, right = '' } = defineProps<{ drawing: DrawingCode; chosen?: string; right?: string }>()
const emit = defineEmits<{ point: [spot: string] }>()
const spots = computed(() => DRAWINGS[drawing])
</script>

<template>
  <svg
    :viewBox="`-4 -4 ${DRAWING_SIZE.width + 8} ${DRAWING_SIZE.height + 8}`"
    class="drawing"
    role="group"
    aria-label="Drawing to point at"
  >
    <g
      v-for="(spot, i) in spots"
      :key="spot.id"
      role="button"
      tabindex="0"
      :aria-label="`Part ${i + 1}`"
      :aria-pressed="chosen === spot.id"
      :data-testid="`spot-${spot.id}`"
      @click="emit('point', spot.id)"
      @keydown.enter.prevent="emit('point', spot.id)"
      @keydown.space.prevent="emit('point', spot.id)"
    >
      <rect
        :x="spot.x"
        :y="spot.y"
        :width="spot.w"
        :height="spot.h"
        rx="2"
        :class="[spot.ink, { chosen: chosen === spot.id, right: right === spot.id }]"
      />
      <rect :x="spot.x - 5" :y="spot.y - 5" :width="spot.w + 10" :height="spot.h + 10" class="reach" />
    </g>
  </svg>
</template>

<style scoped>
.drawing {
  width: 100%;
  max-width: 620px;
  background: var(--raised);
  border: 1px solid var(--hem);
  border-radius: var(--ease);
}
rect {
  fill: var(--cloth);
  stroke: var(--indigo-text);
  stroke-width: 2;
}
.line {
  fill: var(--conductor-l1);
}
.neutral {
  fill: var(--conductor-n);
}
.earth {
  fill: var(--conductor-e);
}
.metal {
  fill: var(--conductor-l3);
}
.reach {
  fill: transparent;
  stroke: none;
}
g {
  cursor: pointer;
}
.chosen {
  stroke: var(--turmeric);
  stroke-width: 5;
}
.right {
  stroke: var(--leaf);
  stroke-width: 6;
  stroke-dasharray: 9 5;
}
</style>
