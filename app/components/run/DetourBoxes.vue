<script setup lang="ts">
import { DIRECTIONS } from '#core/containment/containment-run'
import type { RunFields } from '#core/containment/form'
import { DIRECTION_NAME } from '#words/containment'

/** An offset or bridge on the way of a leg: where, how high, at which angle, towards where. */
const props = defineProps<{
  id: string
  leg: number
  fields: RunFields
  problems: Readonly<Record<string, string>>
  locked: boolean
}>()
const emit = defineEmits<{ write: [key: string, text: string] }>()
const text = (field: string, usual = '') => props.fields[`${props.id}.${field}`] ?? usual
const write = (field: string, event: Event) =>
  emit('write', `${props.id}.${field}`, (event.target as HTMLInputElement | HTMLSelectElement).value)
</script>

<template>
  <div class="boxes">
    <label
      v-for="[field, name, usual] in [
        ['at', 'from the start', ''],
        ['height', 'height', ''],
        ['angle', 'angle °', '30'],
        ...(text('detour') === 'bridge' ? [['flat', 'on top', '100']] : []),
      ] as [string, string, string][]"
      :key="field"
      :class="{ bad: problems[`${id}.${field}`] }"
      ><span>{{ name }}</span
      ><input
        :value="text(field, usual)"
        :disabled="locked"
        :aria-label="`Leg ${leg}, ${name}`"
        :name="`${id}.${field}`"
        @input="write(field, $event)"
    /></label>
    <label
      ><span>towards</span
      ><select
        :value="text('towards', 'out')"
        :disabled="locked"
        :name="`${id}.towards`"
        @change="write('towards', $event)"
      >
        <option v-for="to in DIRECTIONS" :key="to" :value="to">{{ DIRECTION_NAME[to] }}</option>
      </select></label
    >
  </div>
</template>

<style scoped>
.boxes {
  display: flex;
  gap: 4px 8px;
  padding-left: 6px;
}
input,
select {
  width: 100%;
  height: 38px;
  border: 0;
  background: transparent;
  color: var(--ink);
  font: var(--strong) 14.5px var(--font);
  padding: 0 6px;
}
select option {
  background: var(--raised);
  color: var(--ink);
}
select:focus {
  outline: 2px solid var(--indigo);
  outline-offset: -2px;
  background: var(--raised);
}
.boxes label {
  display: grid;
  width: 84px;
}
.boxes label:last-child {
  width: 152px;
}
.boxes span {
  font-size: 12.5px;
  color: var(--soft);
}
.boxes input,
.boxes select {
  border: 1px solid var(--hem-strong);
  height: 34px;
  background: var(--raised);
}
</style>
