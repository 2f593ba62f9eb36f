<script setup lang="ts">
import type { Shapes } from '#core/drawing/shape'
import { SCENE_H, SCENE_W } from '#core/inspection/scenes/spot'
import type { SceneCode } from '#core/inspection/scenes/code'
import type { SpotView } from '#schemas/workmanship-views'
import { SCENE_NAME } from '#words/inspection'

/** A place as it is found: what may be wrong is drawn, not named; closer, a terminal shows how it is made. */
defineProps<{
  scene: SceneCode
  ground: Shapes
  spots: readonly SpotView[]
  marked: ReadonlySet<string>
  shown: ReadonlyMap<string, 'found' | 'wronglyGraded' | 'missed' | 'false'>
  locked: boolean
}>()
const emit = defineEmits<{ tap: [spot: string] }>()
const svg = ref<SVGSVGElement | null>(null)
const { transform, scale, by, whole, show, key } = useSceneZoom(svg, { w: SCENE_W, h: SCENE_H })
const middle = (spot: SpotView) => [spot.x + spot.w / 2, spot.y + spot.h / 2] as const
</script>

<template>
  <div class="frame" @keydown="key">
    <svg
      ref="svg"
      :viewBox="`0 0 ${SCENE_W} ${SCENE_H}`"
      class="drawn whole"
      role="group"
      :aria-label="SCENE_NAME[scene]"
      data-testid="scene"
    >
      <g :transform="transform">
        <DrawnShapes :shapes="ground" />
        <g v-for="spot in spots" :key="spot.id">
          <DrawnShapes :shapes="spot.shapes" />
        </g>
        <rect
          v-for="spot in spots"
          :key="`h${spot.id}`"
          class="hit"
          :class="[shown.get(spot.id), { marked: marked.has(spot.id) }]"
          :x="spot.x"
          :y="spot.y"
          :width="spot.w"
          :height="spot.h"
          :tabindex="locked ? -1 : 0"
          role="button"
          :aria-label="spot.name"
          :aria-pressed="marked.has(spot.id)"
          :data-testid="`spot-${spot.id}`"
          vector-effect="non-scaling-stroke"
          @click="emit('tap', spot.id)"
          @focus="show(...middle(spot))"
          @keydown.enter.prevent="emit('tap', spot.id)"
          @keydown.space.prevent="emit('tap', spot.id)"
        >
          <title>{{ spot.name }}</title>
        </rect>
      </g>
    </svg>
    <div class="zoom" role="toolbar" aria-label="Look closer">
      <button type="button" aria-label="Closer" data-testid="scene-closer" @click="by(1.6)">+</button>
      <button type="button" aria-label="Further away" @click="by(1 / 1.6)">−</button>
      <button type="button" :disabled="scale === 1" @click="whole">Whole</button>
    </div>
  </div>
</template>

<style src="~/assets/drawn.css" />
<style scoped>
.frame {
  position: relative;
  min-height: 0;
}
.zoom {
  position: absolute;
  left: 12px;
  bottom: 12px;
  display: flex;
  gap: 6px;
}
.zoom button {
  min-width: 48px;
  min-height: 48px;
  padding: 0 12px;
  font: var(--strong) 18px var(--font);
  color: var(--ink);
  background: var(--raised);
  border: 1.5px solid var(--hem-strong);
  border-radius: var(--ease);
  cursor: pointer;
}
.zoom button:disabled {
  color: var(--soft);
  cursor: default;
}
.zoom button:focus-visible {
  outline: 2.5px solid var(--indigo);
}
.hit {
  fill: transparent;
  cursor: pointer;
  stroke: transparent;
  stroke-width: 3;
  outline: none;
}
.hit:focus-visible {
  stroke: #24356b;
}
.hit.marked {
  stroke: #8e2a1f;
  stroke-dasharray: 8 5;
}
.hit.found {
  stroke: #2f6b3c;
  stroke-dasharray: none;
}
.hit.wronglyGraded {
  stroke: #9a6500;
  stroke-dasharray: 12 4;
}
.hit.missed {
  stroke: #8e2a1f;
  stroke-dasharray: 3 5;
  stroke-width: 4;
}
.hit.false {
  stroke: #55585f;
  stroke-dasharray: 2 4;
}
</style>
