<script setup lang="ts">
import { DRAWINGS, DRAWING_SIZE, spotsOf, type DrawingCode } from '#core/questions/drawings'
import { wholePicture } from '#core/questions/pictures/picture'
import { PICTURES } from '#core/questions/pictures/pictures'

/** A drawing to point at: by tap, or with Tab and Enter. */
const { drawing, right = '' } = defineProps<{ drawing: DrawingCode; chosen?: string; right?: string }>()
const emit = defineEmits<{ point: [spot: string] }>()
const spots = computed(() => DRAWINGS[drawing])
const picture = computed(() => wholePicture(PICTURES[drawing], spotsOf(drawing)))
</script>

<template>
  <svg
    :viewBox="`-4 -4 ${DRAWING_SIZE.width + 8} ${DRAWING_SIZE.height + 8}`"
    class="drawing drawn"
    role="group"
    aria-label="Drawing to point at"
  >
    <DrawnShapes :shapes="picture" />
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
        class="spot"
        :class="{ chosen: chosen === spot.id, right: right === spot.id }"
      />
      <rect :x="spot.x - 5" :y="spot.y - 5" :width="spot.w + 10" :height="spot.h + 10" class="reach" />
    </g>
  </svg>
</template>

<style src="~/assets/drawn.css" />
<style scoped>
.drawing {
  width: 100%;
  max-width: 620px;
  border: 1px solid var(--hem);
  border-radius: var(--ease);
}
.spot {
  fill: transparent;
  stroke: transparent;
  stroke-width: 3;
}
.reach {
  fill: transparent;
  stroke: none;
}
g[role='button'] {
  cursor: pointer;
  outline: none;
}
g[role='button']:hover .spot {
  stroke: #24356b;
  stroke-width: 2;
  stroke-dasharray: 5 3;
}
g[role='button']:focus-visible .spot {
  stroke: #24356b;
}
g[role='button'] .chosen {
  stroke: #d99a1c;
  stroke-width: 5;
}
g[role='button'] .right {
  stroke: #2f6b3c;
  stroke-width: 6;
  stroke-dasharray: 9 5;
}
</style>
