<script setup lang="ts">
import { TERMINAL_R, type PlacedTerminal } from '#core/bay/layout/placed'
import type { TerminalRef } from '#core/bay/model/rig'

/** Every terminal of the bay: free, used, live. */
defineProps<{
  terminals: ReadonlyMap<TerminalRef, PlacedTerminal>
  used: ReadonlySet<TerminalRef>
  live: ReadonlySet<TerminalRef>
}>()
const emit = defineEmits<{ terminal: [ref: TerminalRef] }>()
</script>

<template>
  <g>
    <g
      v-for="[ref, terminal] in terminals"
      :key="ref"
      v-memo="[terminal, used.has(ref), live.has(ref)]"
      class="terminal"
      :class="{ used: used.has(ref), live: live.has(ref) }"
      :data-terminal="ref"
      @click="emit('terminal', ref)"
    >
      <circle class="reach" :cx="terminal.x" :cy="terminal.y" r="19" />
      <circle class="ring" :cx="terminal.x" :cy="terminal.y" :r="TERMINAL_R" />
      <text class="label" :x="terminal.x" :y="terminal.y + 4.5">{{ terminal.label }}</text>
      <path
        v-if="live.has(ref)"
        class="bolt"
        :d="`M${terminal.x + 12} ${terminal.y - 17}l-5 7h4l-3 7l7 -9h-4z`"
      />
    </g>
  </g>
</template>

<style scoped>
.terminal {
  cursor: pointer;
}
.reach {
  fill: transparent;
}
.ring {
  fill: var(--raised);
  stroke: var(--ink);
  stroke-width: 1.5;
}
.used .ring {
  fill: color-mix(in srgb, var(--turmeric) 26%, var(--raised));
  stroke-width: 2;
}
.live .ring {
  stroke: var(--madder);
  stroke-width: 3;
}
.bolt {
  fill: var(--madder);
}
.label {
  font: var(--heavy) 13px var(--mono);
  text-anchor: middle;
  fill: var(--ink);
  pointer-events: none;
}
.terminal:hover .ring {
  stroke: var(--indigo);
  stroke-width: 3;
}
</style>
