<script setup lang="ts">
import type { BenchCode } from '#core/principles/benches'
import { sketchOf, type SketchItem } from '~/texts/principle-sketch'

/** The bench: what stands where, and, once it is on, what flows, glows and grows hot. */
const props = defineProps<{
  code: BenchCode
  settings: Readonly<Record<string, number>>
  figures: Readonly<Record<string, number>>
  isOn: boolean
  says: string
}>()
const sketch = computed(() => sketchOf(props.code, props.settings, props.figures, props.isOn))
const hot = ({ level }: SketchItem) =>
  `color-mix(in srgb, var(--madder) ${Math.round(100 * level)}%, var(--ink))`
/** Turns of the lead round its drum, more where more is wound up. */
const turns = ({ size = 0 }: SketchItem) => Array.from({ length: Math.round(size * 5) }, (_, i) => 12 + i * 5)
const LABEL_Y: Partial<Record<SketchItem['kind'], number>> = { drum: 60, cable: -14, transformer: 92 }
const labelY = ({ kind }: SketchItem) => LABEL_Y[kind] ?? 40
</script>

<template>
  <svg viewBox="0 0 560 228" role="img" :aria-label="says" :class="{ on: isOn }">
    <path v-for="wire in sketch.wires" :key="wire" class="wire" :d="wire" />
    <template v-if="isOn">
      <path v-for="wire in sketch.wires" :key="`flow ${wire}`" class="flow" :d="wire" />
    </template>
    <g
      v-for="(item, i) in sketch.items"
      :key="`${item.kind} ${i}`"
      :transform="`translate(${item.x} ${item.y})`"
    >
      <template v-if="item.kind === 'lamp'">
        <circle v-if="item.level > 0" class="glow" r="30" :opacity="item.level * 0.75" />
        <circle class="box" r="18" />
        <path class="line" d="M-12.7 -12.7L12.7 12.7M-12.7 12.7L12.7 -12.7" />
      </template>
      <rect
        v-else-if="item.kind === 'resistor'"
        class="box"
        x="-40"
        y="-13"
        width="80"
        height="26"
        :style="{ stroke: hot(item) }"
      />
      <path
        v-else-if="item.kind === 'cable'"
        class="cable"
        :d="`M${-item.size! / 2} 0h${item.size}`"
        :style="{ stroke: hot(item) }"
      />
      <g v-else-if="item.kind === 'drum'">
        <circle class="box" r="42" />
        <circle v-for="r in turns(item)" :key="r" class="turn" :r="r" :style="{ stroke: hot(item) }" />
        <circle class="hub" r="7" />
      </g>
      <g v-else-if="item.kind === 'transformer'">
        <rect class="gap" x="-20" y="-78" width="40" height="156" />
        <circle class="coil" cx="-9" r="22" />
        <circle class="coil" cx="9" r="22" />
        <path class="line" d="M-20 -65H-9V-22M-20 65H-9V22M20 -65H9V-22M20 65H9V22" />
      </g>
      <template v-else>
        <rect class="box" x="-26" y="-20" width="52" height="40" />
        <text v-if="item.kind === 'source' || item.kind === 'meter'" class="in" y="5">
          {{ item.kind === 'source' ? '~' : item.label }}
        </text>
      </template>
      <text v-if="item.kind !== 'meter'" class="label" :y="labelY(item)">{{ item.label }}</text>
    </g>
  </svg>
</template>

<style scoped>
svg {
  width: 100%;
  height: auto;
  display: block;
}
.wire,
.line {
  fill: none;
  stroke: var(--ink);
  stroke-width: 2;
}
.flow {
  fill: none;
  stroke: var(--turmeric);
  stroke-width: 3;
  stroke-dasharray: 10 14;
  animation: sew 1.2s linear infinite;
}
@keyframes sew {
  to {
    stroke-dashoffset: -24;
  }
}
@media (prefers-reduced-motion: reduce) {
  .flow {
    animation: none;
  }
}
.box {
  fill: var(--panel);
  stroke: var(--ink);
  stroke-width: 2;
}
.gap {
  fill: var(--cloth);
}
.coil {
  fill: none;
  stroke: var(--ink);
  stroke-width: 2;
}
.cable {
  stroke-width: 9;
  stroke-linecap: round;
}
.turn {
  fill: none;
  stroke-width: 3.5;
}
.hub {
  fill: var(--ink);
}
.glow {
  fill: var(--turmeric);
}
.label,
.in {
  text-anchor: middle;
  font: var(--strong) 13px var(--font);
  fill: var(--ink);
}
.label {
  paint-order: stroke;
  stroke: var(--cloth);
  stroke-width: 9px;
  stroke-linejoin: round;
}
.in {
  font: var(--heavy) 15px var(--mono);
}
</style>
