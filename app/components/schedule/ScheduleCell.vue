<script setup lang="ts">
import { isTick } from '#core/testing/kinds/kinds'
import type { TestView } from '#schemas/schedule-views'

/** One box of the schedule: typed for numbers, tapped for ticks. */
const props = defineProps<{
  test: TestView
  modelValue: string
  label: string
  locked: boolean
  bad: boolean
  owes: boolean
}>()
const emit = defineEmits<{ 'update:modelValue': [text: string]; move: [down: boolean] }>()
const isTicked = computed(() => isTick(props.test.key))
const MARKS = ['', '✓', '✗']
const turn = () =>
  emit('update:modelValue', MARKS[(MARKS.indexOf(props.modelValue) + 1) % MARKS.length] ?? '✓')
</script>

<template>
  <span class="cell" :class="{ bad, owes }">
    <button
      v-if="isTicked"
      type="button"
      :disabled="locked"
      :class="{ cross: modelValue === '✗' }"
      :aria-label="`${label}: ${modelValue || 'empty'}`"
      :data-cell="test.key"
      @click="turn"
      @keydown.down.prevent="emit('move', true)"
      @keydown.up.prevent="emit('move', false)"
    >
      {{ modelValue || '·' }}
    </button>
    <input
      v-else
      :value="modelValue"
      :aria-label="label"
      :aria-invalid="bad || owes"
      :disabled="locked"
      :data-cell="test.key"
      :name="test.key"
      autocomplete="off"
      spellcheck="false"
      maxlength="60"
      @input="emit('update:modelValue', ($event.target as HTMLInputElement).value)"
      @keydown.down.prevent="emit('move', true)"
      @keydown.enter.prevent="emit('move', true)"
      @keydown.up.prevent="emit('move', false)"
    />
  </span>
</template>

<style scoped>
.cell {
  display: block;
  height: 42px;
}
input,
button {
  width: 100%;
  height: 42px;
  border: 0;
  background: transparent;
  color: var(--ink);
  font: var(--strong) 16px var(--mono);
  text-align: right;
  padding: 0 8px;
  border-radius: 0;
}
button {
  text-align: center;
  cursor: pointer;
  font-size: 18px;
  color: var(--leaf-text);
}
button.cross {
  color: var(--madder-text);
}
input:focus,
button:focus-visible {
  outline: 2.5px solid var(--indigo);
  outline-offset: -2px;
  background: var(--raised);
}
input:disabled,
button:disabled {
  cursor: default;
  color: var(--ink);
  opacity: 0.85;
}
.bad {
  background: var(--madder-wash);
  box-shadow: inset 0 -3px 0 var(--madder);
}
.owes {
  box-shadow: inset 0 -3px 0 var(--turmeric);
}
</style>
