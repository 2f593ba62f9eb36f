<script setup lang="ts">
import { Undo2 } from '@lucide/vue'
import type { Colour } from '#core/bay/model/rig'
import type { BayMode } from '~/texts/bay'

/** What lies beside the hand: sizes and colours while it connects, the ends of a conductor while it measures. */
defineProps<{
  mode: BayMode
  area: number
  colour: Colour
  pickedWire: string | null
  wireWords: (id: string) => string
  canUndo: boolean
}>()
const emit = defineEmits<{
  area: [mm2: number]
  colour: [colour: Colour]
  undo: []
  free: [wire: string, end: 'from' | 'to']
}>()
const HINT: Readonly<Record<BayMode, string>> = {
  mount: 'Pick a part from the box, then touch its place on the rail.',
  connect: '',
  operate: 'Touch what you would move.',
  trace: 'Touch where the path ends.',
  measure: 'Touch the terminals.',
}
</script>

<template>
  <div class="tools">
    <template v-if="mode === 'connect'">
      <ConductorChoice
        :area="area"
        :colour="colour"
        @area="emit('area', $event)"
        @colour="emit('colour', $event)"
      />
      <button type="button" class="tool" :disabled="!canUndo" @click="emit('undo')">
        <Undo2 :size="18" /> Undo
      </button>
    </template>
    <template v-else-if="mode === 'measure' && pickedWire">
      <span class="small">{{ wireWords(pickedWire) }}:</span>
      <button type="button" class="tool" @click="emit('free', pickedWire, 'from')">First end out</button
      ><button type="button" class="tool" @click="emit('free', pickedWire, 'to')">Second end out</button>
    </template>
    <template v-else>
      <span class="small soft grow">{{ HINT[mode] }}</span>
      <button v-if="mode === 'mount'" type="button" class="tool" :disabled="!canUndo" @click="emit('undo')">
        <Undo2 :size="18" /> Undo
      </button>
    </template>
  </div>
</template>

<style scoped>
.tools {
  display: flex;
  gap: 10px;
  align-items: center;
  flex-wrap: wrap;
  padding: 8px 10px;
  border-top: 1px solid var(--hem);
  background: var(--panel);
  min-height: 66px;
}
.tool {
  all: unset;
  box-sizing: border-box;
  cursor: pointer;
  min-height: 48px;
  padding: 0 14px;
  font-weight: var(--strong);
  color: var(--indigo-text);
  display: inline-flex;
  align-items: center;
  gap: 6px;
  border: 1.5px solid var(--hem-strong);
  border-radius: var(--ease);
}
.tool:disabled {
  opacity: 0.45;
  cursor: default;
}
.tool:focus-visible {
  outline: 2.5px solid var(--indigo);
}
</style>
