<script setup lang="ts">
import { Undo2 } from '@lucide/vue'
import { COLOURS, type Colour } from '#core/bay/model/rig'
import { COLOUR_MARK, COLOUR_VAR, type BayMode } from '~/texts/bay'
import { AREAS } from '~/utils/areas'

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
  connect: '',
  operate: 'Touch what you would move.',
  trace: 'Touch where the path ends.',
  measure: 'Touch the terminals.',
}
</script>

<template>
  <div class="tools">
    <template v-if="mode === 'connect'">
      <ChoiceRow
        class="sizes"
        label="Size, mm²"
        :choices="AREAS"
        :chosen="area"
        @choose="emit('area', $event)"
      >
        <template #unit><span class="unit">mm²</span></template>
      </ChoiceRow>
      <ChoiceRow
        class="colours"
        label="Colour"
        :choices="COLOURS"
        :chosen="colour"
        :name-of="(tool) => tool"
        @choose="emit('colour', $event)"
      >
        <template #default="{ choice }">
          <i
            :class="{ banded: choice === 'green-and-yellow' }"
            :style="{ background: COLOUR_VAR[choice] }"
          />{{ COLOUR_MARK[choice] }}
        </template>
      </ChoiceRow>
      <button type="button" class="tool" :disabled="!canUndo" @click="emit('undo')">
        <Undo2 :size="18" /> Undo
      </button>
    </template>
    <template v-else-if="mode === 'measure' && pickedWire">
      <span class="small">{{ wireWords(pickedWire) }}:</span>
      <button type="button" class="tool" @click="emit('free', pickedWire, 'from')">First end out</button
      ><button type="button" class="tool" @click="emit('free', pickedWire, 'to')">Second end out</button>
    </template>
    <span v-else class="small soft">{{ HINT[mode] }}</span>
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
.sizes {
  --choice-width: 37px;
  --choice-pad: 5px;
  --choice-font: 640 15px var(--mono);
}
.colours {
  --choice-width: 40px;
  --choice-pad: 7px;
  --choice-font: 640 12.5px var(--mono);
}
.unit {
  padding: 0 7px;
  font-size: 14px;
  color: var(--soft);
}
i {
  width: 9px;
  height: 26px;
  border-radius: 2px;
  border: 1px solid var(--hem-strong);
}
i.banded {
  background: repeating-linear-gradient(
    var(--conductor-e) 0 6px,
    var(--conductor-e-band) 6px 12px
  ) !important;
}
.tool {
  all: unset;
  box-sizing: border-box;
  cursor: pointer;
  min-height: 48px;
  padding: 0 14px;
  font-weight: 640;
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
