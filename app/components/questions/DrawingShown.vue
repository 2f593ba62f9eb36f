<script setup lang="ts">
import { DRAWINGS, DRAWING_SIZE, spotsOf, type DrawingCode } from '#core/questions/drawings'
import { wholePicture } from '#core/questions/pictures/picture'
import { PICTURES } from '#core/questions/pictures/pictures'
import { DRAWING_NAME } from '#words/questions/labels'

/** A drawing with one part marked; nothing to point at. */
const { drawing, spot = '' } = defineProps<{ drawing: DrawingCode; spot?: string }>()
/** The name of the part would give the answer away where it is asked for. */
const label = computed(() => `${DRAWING_NAME[drawing]}${spot ? ', one part marked' : ''}`)
const picture = computed(() => wholePicture(PICTURES[drawing], spotsOf(drawing)))
</script>

<template>
  <svg
    class="drawn"
    :viewBox="`-4 -4 ${DRAWING_SIZE.width + 8} ${DRAWING_SIZE.height + 8}`"
    role="img"
    :aria-label="label"
  >
    <DrawnShapes :shapes="picture" />
    <template v-for="part in DRAWINGS[drawing]" :key="part.id">
      <rect
        v-if="part.id === spot"
        class="here"
        :x="part.x - 4"
        :y="part.y - 4"
        :width="part.w + 8"
        :height="part.h + 8"
        rx="4"
      />
    </template>
  </svg>
</template>

<style src="~/assets/drawn.css" />
<style scoped>
svg {
  width: 100%;
  max-width: 460px;
  border: 1px solid var(--hem);
  border-radius: var(--ease);
}
.here {
  fill: none;
  stroke: #b3262e;
  stroke-width: 4;
  stroke-dasharray: 9 4;
}
</style>
