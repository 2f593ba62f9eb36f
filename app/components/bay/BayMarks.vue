<script setup lang="ts">
import type { PlacedTerminal } from '#core/bay/layout/placed'
import type { TerminalRef } from '#core/bay/model/rig'

/** Terminals that the hand has touched. They ask for themselves, so that a touch draws nothing else of the bay. */
const { terminals, marks } = defineProps<{
  terminals: ReadonlyMap<TerminalRef, PlacedTerminal>
  marks: () => ReadonlyMap<TerminalRef, string>
}>()
const marked = computed(() =>
  [...marks()].flatMap(([ref, mark]) => {
    const at = terminals.get(ref)
    return at ? [{ ref, mark, at }] : []
  }),
)
</script>

<template>
  <g v-for="{ ref, mark, at } in marked" :key="ref" class="marked">
    <circle class="halo" :cx="at.x" :cy="at.y" r="17.5" />
    <text class="mark" :x="at.x + 17" :y="at.y - 12">{{ mark }}</text>
  </g>
</template>

<style scoped>
.marked {
  pointer-events: none;
}
.halo {
  fill: none;
  stroke: var(--indigo);
  stroke-width: 3;
  stroke-dasharray: 5 3;
}
.mark {
  font: var(--heavy) 13px var(--font);
  fill: var(--indigo-text);
  paint-order: stroke;
  stroke: var(--panel);
  stroke-width: 4;
}
</style>
