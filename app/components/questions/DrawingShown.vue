<script setup lang="ts">
import { DRAWINGS, DRAWING_SIZE, type DrawingCode } from '#core/questions/drawings'
import { DRAWING_NAME } from '#words/questions/labels'

/** A drawing with one part marked; nothing to point at. */
const { drawing, spot = '' } = defineProps<{ drawing: DrawingCode; spot?: string }>()
/** The name of the part would give the answer away where it is asked for. */
const label = computed(() => `${DRAWING_NAME[drawing]}${spot ? ', one part marked' : ''}`)
</script>

<template>
  <svg :viewBox="`-4 -4 ${DRAWING_SIZE.width + 8} ${DRAWING_SIZE.height + 8}`" role="img" :aria-label="label">
    <rect
      v-for="part in DRAWINGS[drawing]"
      :key="part.id"
      :x="part.x"
      :y="part.y"
      :width="part.w"
      :height="part.h"
      rx="2"
      :class="{ here: part.id === spot }"
    />
  </svg>
</template>

<style scoped>
svg {
  width: 100%;
  max-width: 420px;
  background: var(--raised);
  border: 1px solid var(--hem);
  border-radius: var(--ease);
}
rect {
  fill: var(--cloth);
  stroke: var(--soft);
  stroke-width: 2;
}
.here {
  fill: var(--turmeric);
  stroke: var(--indigo-text);
  stroke-width: 4;
}
</style>
