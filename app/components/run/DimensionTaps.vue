<script setup lang="ts">
import { readEntry, type Dimension } from '#core/containment/dimensions'

/** One measured dimension: right or wrong by a tap, off by some millimetres by a tap, or what the tape says. */
const props = defineProps<{ dimension: Dimension; name: string; typed: string; locked: boolean }>()
const emit = defineEmits<{ write: [text: string] }>()

const NUDGES_MM = [-3, -2, -1, 0, 1, 2, 3]
const offMm = computed(() => {
  const entry = readEntry(props.typed, props.dimension)
  return entry.is === 'off' ? Math.round(entry.offMm * 10) / 10 : null
})
const signed = (mm: number) => `${['−', '', '+'][Math.sign(mm) + 1]}${Math.abs(mm)}`
</script>

<template>
  <div v-if="dimension.kind === 'way' || dimension.kind === 'bubble'" class="taps">
    <button
      v-for="mark in ['✓', '✗']"
      :key="mark"
      type="button"
      :disabled="locked"
      :class="{ on: typed === mark, cross: mark === '✗' }"
      :aria-pressed="typed === mark"
      :aria-label="`${name}: ${mark === '✓' ? 'yes' : 'no'}`"
      @click="emit('write', mark)"
    >
      {{ mark }}
    </button>
  </div>
  <div v-else class="taps">
    <button
      v-for="mm in NUDGES_MM"
      :key="mm"
      type="button"
      :disabled="locked"
      :class="{ on: offMm === mm }"
      :aria-label="`${name}: off by ${mm} mm`"
      @click="emit('write', signed(mm))"
    >
      {{ signed(mm) }}
    </button>
    <input
      :value="typed"
      :disabled="locked"
      :name="dimension.key"
      :aria-label="`${name}, tape or deviation`"
      placeholder="tape"
      maxlength="12"
      @input="emit('write', ($event.target as HTMLInputElement).value)"
    />
  </div>
</template>

<style scoped>
.taps {
  display: flex;
  gap: 6px;
  margin-top: 4px;
  flex-wrap: wrap;
}
.taps button {
  min-width: 54px;
  min-height: 50px;
  border: 1.5px solid var(--hem-strong);
  background: var(--raised);
  color: var(--ink);
  font: var(--strong) 18px var(--mono);
  border-radius: var(--ease);
  cursor: pointer;
}
.taps .on {
  background: var(--indigo);
  color: var(--on-indigo);
  border-color: var(--indigo);
}
.taps .on.cross {
  background: var(--madder);
  border-color: var(--madder);
}
.taps button:disabled {
  cursor: default;
}
.taps input {
  width: 104px;
  min-height: 50px;
  font: var(--strong) 19px var(--mono);
  text-align: right;
  padding: 0 10px;
  border: 1.5px solid var(--hem-strong);
  border-radius: var(--ease);
  background: var(--raised);
  color: var(--ink);
}
</style>
