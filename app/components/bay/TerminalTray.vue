<script setup lang="ts">
import { termination, type ConductorColour } from '#core/drawing/conductor'
import type { Colour, Part, Rig } from '#core/bay/model/rig'
import { terminalsOf } from '#core/bay/model/terminals'

/** The terminals of one part, as large as a gloved finger, with what stands in each. */
const props = defineProps<{ part: Part; rig: Rig; marks: ReadonlyMap<string, string> }>()
const emit = defineEmits<{ take: [ref: string]; close: [] }>()
const drawnAs = (colour: Colour): ConductorColour => (colour === 'green-and-yellow' ? 'earth' : colour)
const terminals = computed(() =>
  terminalsOf(props.part).map((name) => {
    const ref = `${props.part.id}.${name}`
    const wires = props.rig.wires.filter(({ from, to }) => from === ref || to === ref)
    return { name, ref, count: wires.length, drawn: termination(wires.map(({ colour }) => drawnAs(colour))) }
  }),
)
</script>

<template>
  <div class="tray" role="group" :aria-label="`Terminals of ${part.name}`">
    <b>{{ part.name }}</b>
    <button
      v-for="terminal in terminals"
      :key="terminal.ref"
      type="button"
      :class="{ marked: marks.has(terminal.ref), used: terminal.count }"
      @click="emit('take', terminal.ref)"
    >
      <svg class="drawn" viewBox="0 0 40 60" aria-hidden="true"><DrawnShapes :shapes="terminal.drawn" /></svg>
      {{ terminal.name }}<small>{{ terminal.count ? `${terminal.count} in` : 'free' }}</small>
    </button>
    <button type="button" class="close" aria-label="Close" @click="emit('close')">×</button>
  </div>
</template>

<style src="~/assets/drawn.css" />
<style scoped>
svg {
  width: 34px;
  background: none;
}
.tray {
  display: flex;
  gap: 8px;
  align-items: center;
  flex-wrap: wrap;
  padding: 8px 12px;
  background: var(--raised);
  border-top: 1.5px dashed var(--hem-strong);
  max-height: 168px;
  overflow: auto;
}
button {
  min-width: 54px;
  min-height: 50px;
  border: 1.5px solid var(--hem-strong);
  border-radius: var(--ease);
  background: var(--panel);
  color: var(--ink);
  font: var(--heavy) 15px var(--mono);
  cursor: pointer;
  display: flex;
  flex-direction: column;
  align-items: center;
  justify-content: center;
  padding: 2px 9px;
}
button small {
  font: var(--mid) 11.5px var(--font);
  color: var(--soft);
}
.used {
  border-color: var(--ink);
}
.marked {
  border: 2.5px dashed var(--indigo);
  background: var(--indigo-wash);
}
.close {
  border: 0;
  background: none;
  font-size: 22px;
  margin-left: auto;
}
</style>
