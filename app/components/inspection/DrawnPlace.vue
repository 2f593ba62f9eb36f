<script setup lang="ts">
import type { Shapes } from '#core/drawing/shape'
import { SCENE_H, SCENE_W } from '#core/inspection/scenes/spot'

/** A place that is only looked at: closer, further away, moved. */
defineProps<{ shapes: Shapes; name: string }>()
const svg = ref<SVGSVGElement | null>(null)
const { transform, scale, by, whole, key } = useSceneZoom(svg, { w: SCENE_W, h: SCENE_H }, true)
</script>

<template>
  <figure class="place" @keydown="key">
    <svg
      ref="svg"
      class="drawn whole"
      :viewBox="`0 0 ${SCENE_W} ${SCENE_H}`"
      role="img"
      tabindex="0"
      :aria-label="name"
      data-testid="drawn-place"
    >
      <g :transform="transform"><DrawnShapes :shapes="shapes" /></g>
    </svg>
    <figcaption class="row">
      <button type="button" class="text-button" @click="by(1.6)">Closer</button>
      <button type="button" class="text-button" @click="by(1 / 1.6)">Further away</button>
      <button type="button" class="text-button" :disabled="scale === 1" @click="whole">Whole</button>
    </figcaption>
  </figure>
</template>

<style src="~/assets/drawn.css" />
<style scoped>
.place {
  margin: 4px 0 8px;
}
.place .whole {
  touch-action: pan-y pinch-zoom;
  min-height: 0;
  height: auto;
  aspect-ratio: 1200 / 760;
}
.place .whole:focus-visible {
  outline: 2.5px solid var(--indigo);
}
.text-button {
  min-height: 40px;
}
</style>
