<script setup lang="ts">
import type { Place } from '#core/isolation/model/act'

/** A plain plan of the place: where the person stands, and where they can go. */
defineProps<{ place: Place; pointName: string; isOpen: boolean }>()
const emit = defineEmits<{ walk: [to: Place] }>()
const SPOTS: Readonly<Record<Place, { x: number; y: number; name: string; note: string }>> = {
  customer: { x: 104, y: 150, name: 'Duty holder', note: 'at the desk' },
  board: { x: 330, y: 70, name: 'Board', note: 'on the wall' },
  source: { x: 560, y: 70, name: 'Known live source', note: 'another supply' },
  point: { x: 720, y: 180, name: 'Point of work', note: '' },
}
const PLACES = Object.entries(SPOTS) as [Place, (typeof SPOTS)[Place]][]
</script>

<template>
  <svg viewBox="0 0 840 250" class="plan" role="group" aria-label="Plan of the place">
    <path class="wall" d="M12 12H828V238H470M400 238H12V12" />
    <path class="door" d="M400 238a70 70 0 0 1 70 -66" />
    <path class="stitch" d="M186 168C240 190 270 146 330 138S500 146 560 138S620 150 640 180" />
    <g
      v-for="[code, spot] in PLACES"
      :key="code"
      class="spot"
      :class="{ here: place === code }"
      role="button"
      tabindex="0"
      :aria-label="`Go to: ${spot.name}`"
      :aria-current="place === code"
      :data-place="code"
      @click="emit('walk', code)"
      @keydown.enter="emit('walk', code)"
    >
      <rect class="hit" :x="spot.x - 84" :y="spot.y - 52" width="168" height="104" rx="4" />
      <g v-if="code === 'customer'">
        <path class="thing" :d="`M${spot.x - 40} ${spot.y - 4}h80v14h-80z`" />
        <circle class="head" :cx="spot.x" :cy="spot.y - 22" r="10" />
      </g>
      <g v-else-if="code === 'board'">
        <rect class="thing" :x="spot.x - 36" :y="spot.y - 36" width="72" height="44" rx="2" />
        <path class="thing" :d="[-22, -8, 8, 22].map((dx) => `M${spot.x + dx} ${spot.y - 24}v20`).join('')" />
      </g>
      <g v-else-if="code === 'source'">
        <rect class="thing" :x="spot.x - 20" :y="spot.y - 34" width="40" height="40" rx="5" />
        <path
          class="thing"
          :d="`M${spot.x} ${spot.y - 26}v9M${spot.x - 8} ${spot.y - 10}v7M${spot.x + 8} ${spot.y - 10}v7`"
        />
      </g>
      <g v-else>
        <rect class="thing dashed" :x="spot.x - 24" :y="spot.y - 36" width="48" height="44" rx="4" />
        <path
          class="thing"
          :d="isOpen ? `M${spot.x - 12} ${spot.y - 24}q12 26 24 4` : `M${spot.x - 10} ${spot.y - 14}h20`"
        />
      </g>
      <text class="name" :x="spot.x" :y="spot.y + 28">{{ code === 'point' ? pointName : spot.name }}</text>
      <text class="note" :x="spot.x" :y="spot.y + 44">
        {{ code === 'point' ? 'point of work' : spot.note }}
      </text>
    </g>
    <g
      class="person"
      :style="{ transform: `translate(${SPOTS[place].x + 62}px, ${SPOTS[place].y - 14}px)` }"
      aria-hidden="true"
    >
      <circle cx="0" cy="-14" r="8" />
      <path d="M-12 16q0 -22 12 -22t12 22z" />
    </g>
  </svg>
</template>

<style scoped>
.plan {
  width: 100%;
  display: block;
  background: var(--panel);
  border: 1px solid var(--hem);
  border-radius: var(--ease);
}
.wall {
  fill: none;
  stroke: var(--ink);
  stroke-width: 5;
}
.door {
  fill: none;
  stroke: var(--hem-strong);
  stroke-width: 1.5;
  stroke-dasharray: 4 4;
}
.stitch {
  fill: none;
  stroke: var(--indigo);
  stroke-width: 3;
  stroke-dasharray: 10 8;
  stroke-linecap: round;
  opacity: 0.35;
}
.spot {
  cursor: pointer;
  outline: none;
}
.hit {
  fill: transparent;
  stroke: none;
}
.here .hit {
  fill: var(--indigo-wash);
}
.spot:focus-visible .hit {
  stroke: var(--indigo);
  stroke-width: 3;
}
.spot:hover .hit {
  stroke: var(--indigo);
  stroke-width: 1.5;
  stroke-dasharray: 6 4;
}
.thing {
  fill: var(--raised);
  stroke: var(--ink);
  stroke-width: 1.8;
}
.dashed {
  stroke-dasharray: 6 3;
  stroke: var(--madder);
}
.head {
  fill: var(--turmeric-wash);
  stroke: var(--ink);
  stroke-width: 1.8;
}
.name {
  font: var(--heavy) 15px var(--font);
  text-anchor: middle;
  fill: var(--ink);
}
.note {
  font: var(--mid) 13px var(--font);
  text-anchor: middle;
  fill: var(--soft);
}
.person {
  fill: var(--indigo);
  transition: transform 0.45s ease;
}
</style>
