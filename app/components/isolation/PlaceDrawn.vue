<script setup lang="ts">
import { boardCase, rail } from '#core/drawing/enclosure'
import { MODULE_W, deviceBody } from '#core/drawing/device'
import { socketFront } from '#core/drawing/accessory'
import { pointClosed, pointOpen } from '#core/drawing/point-of-work'
import { put } from '#core/drawing/shape'
import type { Indicator, Place } from '#core/isolation/model/act'
import type { RunView } from '#schemas/isolation-views'

/** The room as it is seen: where the person stands, where they can go, and the point of work as it has been left. */
const { point } = defineProps<{
  place: Place
  pointName: string
  point: RunView['point']
  inHand: Indicator | null
}>()
const emit = defineEmits<{ walk: [to: Place] }>()
const SPOTS: Readonly<Record<Place, { x: number; name: string; note: string }>> = {
  customer: { x: 130, name: 'Duty holder', note: 'at the desk' },
  board: { x: 390, name: 'Board', note: 'on the wall' },
  source: { x: 640, name: 'Known live source', note: 'another supply' },
  point: { x: 895, name: 'Point of work', note: '' },
}
const PLACES = Object.entries(SPOTS) as [Place, (typeof SPOTS)[Place]][]
/** Where feet stand, and where things hang on the wall. */
const FLOOR_Y = 196
const HANG_Y = 52
const SMALL_BOARD = [
  ...boardCase('metal', 6 * MODULE_W + 60, 260),
  put(30, 116, rail(6 * MODULE_W)),
  ...[0, 1, 2, 3, 4, 5].map((i) =>
    put(
      30 + i * MODULE_W,
      34,
      deviceBody({ kind: i === 0 ? 'switch' : 'breaker', modules: 1, print: '', isOn: true, body: 'right' }),
    ),
  ),
]
const SOURCE = socketFront('right')
const pointShapes = computed(() => (point.isOpen ? pointOpen(point) : pointClosed(point.kind)))
</script>

<template>
  <div class="place">
    <svg viewBox="0 0 1040 250" class="drawn room" role="group" aria-label="The place">
      <rect class="wall" x="0" y="0" width="1040" :height="FLOOR_Y - 10" />
      <path class="skirting" :d="`M0 ${FLOOR_Y - 10}H1040`" />
      <path class="stitch" :d="`M60 ${FLOOR_Y + 6}H990`" />
      <g
        v-for="[code, spot] in PLACES"
        :key="code"
        class="spot"
        :class="{ here: place === code }"
        role="button"
        tabindex="0"
        :aria-label="`Go to: ${code === 'point' ? pointName : spot.name}`"
        :aria-current="place === code"
        :data-place="code"
        @click="emit('walk', code)"
        @keydown.enter="emit('walk', code)"
        @keydown.space.prevent="emit('walk', code)"
      >
        <rect class="hit" :x="spot.x - 118" y="6" width="236" height="234" rx="4" />
        <g v-if="code === 'customer'">
          <circle class="head" :cx="spot.x" cy="84" r="15" />
          <path class="coat" :d="`M${spot.x - 28} 146q0 -46 28 -46t28 46z`" />
          <rect class="timber" :x="spot.x - 62" y="142" width="124" height="12" />
          <rect class="timber" :x="spot.x - 54" y="154" width="108" :height="FLOOR_Y - 156" />
        </g>
        <g v-else-if="code === 'board'" :transform="`translate(${spot.x - 65} ${HANG_Y}) scale(0.4)`">
          <DrawnShapes :shapes="SMALL_BOARD" />
        </g>
        <g v-else-if="code === 'source'" :transform="`translate(${spot.x - 43} ${HANG_Y + 26}) scale(0.45)`">
          <DrawnShapes :shapes="SOURCE" />
        </g>
        <g
          v-else
          :transform="
            point.isOpen
              ? `translate(${spot.x - 84} ${HANG_Y - 6}) scale(0.56)`
              : `translate(${spot.x - 50} ${HANG_Y + 22}) scale(0.5)`
          "
          data-testid="point-drawn"
        >
          <DrawnShapes :shapes="pointShapes" />
        </g>
        <text class="name" :x="spot.x" y="220">{{ code === 'point' ? pointName : spot.name }}</text>
        <text class="note" :x="spot.x" y="239">{{ code === 'point' ? 'point of work' : spot.note }}</text>
      </g>
      <g
        class="person"
        :style="{ transform: `translate(${SPOTS[place].x + 92}px, 128px)` }"
        aria-hidden="true"
      >
        <circle cx="0" cy="-14" r="11" />
        <path d="M-17 62V26q0 -26 17 -26t17 26V62z" />
        <path v-if="inHand" class="held" d="M-17 30l-12 -12v-14" />
      </g>
    </svg>
  </div>
</template>

<style src="~/assets/drawn.css" />
<style scoped>
.place {
  flex: none;
  overflow-x: auto;
}
.room {
  width: 100%;
  min-width: 620px;
  border: 1px solid var(--hem);
  border-radius: var(--ease);
  background: var(--panel);
}
.skirting {
  fill: none;
  stroke: var(--hem-strong);
  stroke-width: 4;
}
.stitch {
  fill: none;
  stroke: var(--indigo-text);
  stroke-width: 2.5;
  stroke-dasharray: 10 8;
  stroke-linecap: round;
  opacity: 0.4;
}
.spot {
  cursor: pointer;
  outline: none;
}
.hit {
  fill: transparent;
  stroke: transparent;
  stroke-width: 2.5;
}
.here .hit {
  fill: color-mix(in srgb, var(--indigo) 16%, transparent);
}
.spot:focus-visible .hit {
  stroke: var(--indigo-text);
}
.spot:hover .hit {
  stroke: var(--indigo-text);
  stroke-dasharray: 6 4;
}
.head {
  fill: #e8c9a0;
  stroke: #4b4f5a;
  stroke-width: 1.6;
}
.coat {
  fill: #7b6a4a;
  stroke: #3d3523;
  stroke-width: 1.6;
}
.name {
  text-anchor: middle;
  font: var(--heavy) 18px var(--font);
  fill: var(--ink);
}
.note {
  text-anchor: middle;
  font: var(--mid) 15px var(--font);
  fill: var(--soft);
}
.person {
  fill: #24356b;
  stroke: #f4f1e8;
  stroke-width: 1.5;
  transition: transform 0.45s ease;
}
.held {
  fill: none;
  stroke: #24356b;
  stroke-width: 6;
  stroke-linecap: round;
}
@media (prefers-reduced-motion: reduce) {
  .person {
    transition: none;
  }
}
</style>
