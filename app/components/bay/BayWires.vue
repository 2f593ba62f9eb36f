<script setup lang="ts">
import { pathOf, type Point } from '#core/bay/layout/route'
import type { Wire } from '#core/bay/model/rig'
import { COLOUR_VAR } from '~/texts/bay'

/** Every conductor along its channels; lifted ones lie on top of the rest. */
const props = defineProps<{
  wires: readonly Wire[]
  paths: ReadonlyMap<string, readonly Point[]>
  lifted: ReadonlySet<string>
  isFading: boolean
  /** What each carries, A; what is not in it carries nothing. */
  flow: ReadonlyMap<string, number>
}>()
const emit = defineEmits<{ wire: [id: string] }>()
const drawn = computed(() =>
  props.wires.flatMap((wire) => {
    const points = props.paths.get(wire.id)
    return points ? [{ wire, d: pathOf(points) }] : []
  }),
)
const stitchStyle = (ampere: number) => {
  const { periodPx, isBack } = stitchesOf(ampere)
  return {
    '--period': `${periodPx}px`,
    strokeDasharray: `${STITCH_PX} ${periodPx - STITCH_PX}`,
    animationDirection: isBack ? 'reverse' : 'normal',
  }
}
const ordered = computed(() => [
  ...drawn.value.filter(({ wire }) => !props.lifted.has(wire.id)),
  ...drawn.value.filter(({ wire }) => props.lifted.has(wire.id)),
])
</script>

<template>
  <g>
    <g
      v-for="{ wire, d } in ordered"
      :key="wire.id"
      v-memo="[d, wire.colour, lifted.has(wire.id), isFading, flow.get(wire.id)]"
      class="wire"
      :class="{ lifted: lifted.has(wire.id), faded: isFading && !lifted.has(wire.id) }"
      :data-wire="wire.id"
      @click="emit('wire', wire.id)"
    >
      <path class="hit" :d="d" />
      <path class="casing" :d="d" />
      <path class="core" :d="d" :style="{ stroke: COLOUR_VAR[wire.colour] }" />
      <path v-if="wire.colour === 'green-and-yellow'" class="band" :d="d" />
      <path
        v-if="flow.has(wire.id)"
        class="stitches"
        :d="d"
        :style="stitchStyle(flow.get(wire.id)!)"
        data-testid="stitches"
      />
    </g>
  </g>
</template>

<style scoped>
.wire {
  cursor: pointer;
}
.wire path {
  fill: none;
  stroke-linejoin: round;
  stroke-linecap: round;
}
.wire .hit {
  stroke: transparent;
  stroke-width: 12;
}
.wire .casing {
  stroke: var(--panel);
  stroke-width: 5.4;
}
.wire .core {
  stroke-width: 3.2;
}
.wire .band {
  stroke: var(--conductor-e-band);
  stroke-width: 3.2;
  stroke-dasharray: 5 6;
  stroke-linecap: butt;
}
.wire.lifted .casing {
  stroke: var(--turmeric);
  stroke-width: 10;
  opacity: 0.55;
}
.wire.lifted .core,
.wire.lifted .band {
  stroke-width: 4.6;
}
.wire .stitches {
  stroke: #ffd24a;
  stroke-width: 4.4;
  stroke-linecap: butt;
  pointer-events: none;
  animation: stitches 0.7s linear infinite;
}
@keyframes stitches {
  to {
    stroke-dashoffset: calc(var(--period) * -1);
  }
}
@media (prefers-reduced-motion: reduce) {
  .wire .stitches {
    animation: none;
  }
}
.faded {
  opacity: 0.16;
}
:global(html.dark .wire .casing) {
  stroke: var(--soft);
}
</style>
