<script setup lang="ts">
/**
 * One cell of the circuits table: a bare box or list, so that a whole board can be typed without leaving the
 * keyboard.
 */
const props = defineProps<{
  id: string
  field: string
  modelValue: string
  label: string
  problem?: string
  options?: readonly { value: string; label: string }[]
  mono?: boolean
}>()
const origin = useSurveyOrigin(() => `${props.id}.${props.field}`)
const emit = defineEmits<{ 'update:modelValue': [text: string] }>()
const shown = computed(() =>
  props.options?.some(({ value }) => value === props.modelValue) ? props.modelValue : '',
)
</script>

<template>
  <td :class="{ bad: problem, surveyed: origin }" :title="problem ?? origin">
    <select
      v-if="options"
      :value="shown"
      :aria-label="label"
      :aria-invalid="Boolean(problem)"
      :data-cell="`${id}.${field}`"
      @change="emit('update:modelValue', ($event.target as HTMLSelectElement).value)"
    >
      <option v-if="shown === ''" value="" disabled>{{ modelValue || '…' }}</option>
      <option v-for="option in options" :key="option.value" :value="option.value">{{ option.label }}</option>
    </select>
    <input
      v-else
      :value="modelValue"
      :class="{ mono }"
      :aria-label="label"
      :aria-invalid="Boolean(problem)"
      :data-cell="`${id}.${field}`"
      :name="`${id}.${field}`"
      autocomplete="off"
      spellcheck="false"
      @input="emit('update:modelValue', ($event.target as HTMLInputElement).value)"
    />
  </td>
</template>

<style scoped>
td {
  padding: 0;
  border-right: 1px solid var(--hem);
  height: 36px;
}
input,
select {
  width: 100%;
  height: 35px;
  border: 0;
  background: transparent;
  color: var(--ink);
  font-size: 14px;
  padding: 0 6px;
  border-radius: 0;
  appearance: none;
}
input.mono {
  font-family: var(--mono);
  font-weight: var(--strong);
  text-align: right;
}
select {
  cursor: pointer;
}
select option {
  background: var(--raised);
  color: var(--ink);
}
input:focus,
select:focus {
  outline: 2px solid var(--indigo);
  outline-offset: -2px;
  background: var(--raised);
}
.surveyed {
  box-shadow: inset 0 -2px 0 var(--turmeric);
}
.bad {
  background: var(--madder-wash);
  box-shadow: inset 0 -2px 0 var(--madder);
}
</style>
