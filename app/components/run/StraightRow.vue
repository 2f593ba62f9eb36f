<script setup lang="ts">
import type { RunFields } from '#core/containment/form'
import { DIRECTIONS, JOINTS } from '#core/containment/containment-run'
import { DIRECTION_NAME, JOINT_NAME } from '#words/containment'

/** One straight of a run: by itself, so that a key or a drag redraws no other. */
const props = defineProps<{
  id: string
  /** From 1. */
  leg: number
  isLast: boolean
  fields: RunFields
  problems: Readonly<Record<string, string>>
  sentences: readonly string[]
  locked: boolean
}>()
const emit = defineEmits<{ write: [key: string, text: string]; remove: [] }>()
const text = (field: string, usual = '') => props.fields[`${props.id}.${field}`] ?? usual
const write = (field: string, event: Event) =>
  emit('write', `${props.id}.${field}`, (event.target as HTMLInputElement | HTMLSelectElement).value)
</script>

<template>
  <tbody>
    <tr>
      <th scope="row">{{ leg }}</th>
      <td>
        <select
          :value="text('to', 'right')"
          :disabled="locked"
          :aria-label="`Leg ${leg}, to`"
          :name="`${id}.to`"
          @change="write('to', $event)"
        >
          <option v-for="to in DIRECTIONS" :key="to" :value="to">{{ DIRECTION_NAME[to] }}</option>
        </select>
      </td>
      <td>
        <input
          v-if="leg > 1"
          :value="text('set', '90')"
          :disabled="locked"
          :aria-label="`Leg ${leg}, set`"
          :name="`${id}.set`"
          @input="write('set', $event)"
        />
      </td>
      <td :class="{ bad: problems[`${id}.length`] }" :title="problems[`${id}.length`]">
        <input
          :value="text('length')"
          :disabled="locked"
          :aria-label="`Leg ${leg}, length`"
          :aria-invalid="Boolean(problems[`${id}.length`])"
          :name="`${id}.length`"
          @input="write('length', $event)"
        />
      </td>
      <td>
        <select
          v-if="!isLast"
          :value="text('then', 'bend')"
          :disabled="locked"
          :aria-label="`Leg ${leg}, then`"
          :name="`${id}.then`"
          @change="write('then', $event)"
        >
          <option v-for="joint in JOINTS.filter((joint) => joint !== 'end')" :key="joint" :value="joint">
            {{ JOINT_NAME[joint] }}
          </option></select
        ><span v-else class="soft">last box</span>
      </td>
      <td>
        <select
          :value="text('detour')"
          :disabled="locked"
          :aria-label="`Leg ${leg}, on the way`"
          :name="`${id}.detour`"
          @change="write('detour', $event)"
        >
          <option value="">–</option>
          <option value="offset">offset</option>
          <option value="bridge">bridge</option>
        </select>
      </td>
      <td>
        <button
          v-if="!locked"
          type="button"
          class="remove"
          :aria-label="`Remove leg ${leg}`"
          @click="emit('remove')"
        >
          ×
        </button>
      </td>
    </tr>
    <tr v-if="text('detour')" class="detour">
      <td />
      <td colspan="6">
        <DetourBoxes
          :id="id"
          :leg
          :fields="fields"
          :problems="problems"
          :locked="locked"
          @write="(key, typed) => emit('write', key, typed)"
        />
      </td>
    </tr>
    <tr v-for="sentence in sentences" :key="sentence">
      <td />
      <td colspan="6" class="sentences">{{ sentence }}</td>
    </tr>
  </tbody>
</template>

<style scoped>
th[scope='row'] {
  font: var(--heavy) 15px var(--mono);
  color: var(--indigo-text);
  padding: 0 8px;
}
td {
  padding: 0;
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
input {
  font-family: var(--mono);
  text-align: right;
  min-width: 0;
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
.bad {
  background: var(--madder-wash);
  box-shadow: inset 0 -2px 0 var(--madder);
}
.detour td {
  padding: 0 0 6px;
}
.sentences {
  color: var(--madder-text);
  font-size: 14px;
  padding: 2px 6px 6px;
  line-height: 1.3;
}
.remove {
  all: unset;
  cursor: pointer;
  padding: 4px 10px;
  font-size: 20px;
  color: var(--soft);
}
.remove:focus-visible {
  outline: 2px solid var(--indigo);
}
</style>
