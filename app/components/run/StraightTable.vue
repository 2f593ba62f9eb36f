<script setup lang="ts">
import { straightIds, type RunFields } from '#core/containment/form'
import { DIRECTIONS, JOINTS } from '#core/containment/containment-run'
import { DIRECTION_NAME, JOINT_NAME } from '#words/containment'

/** The straights of a run by their dimensions, for the keyboard; detours open under their straight. */
const props = defineProps<{
  fields: RunFields
  problems: Readonly<Record<string, string>>
  sentences: ReadonlyMap<number, readonly string[]>
  selected: number | null
  locked: boolean
}>()
const emit = defineEmits<{
  write: [key: string, text: string]
  add: [to: (typeof DIRECTIONS)[number]]
  remove: [id: string]
  select: [straight: number]
}>()
const ids = computed(() => straightIds(props.fields))
const text = (id: string, field: string, usual = '') => props.fields[`${id}.${field}`] ?? usual
const write = (id: string, field: string, event: Event) =>
  emit('write', `${id}.${field}`, (event.target as HTMLInputElement | HTMLSelectElement).value)
const ADD = [
  ['right', '→'],
  ['up', '↑'],
  ['down', '↓'],
  ['left', '←'],
  ['out', '⊙'],
  ['back', '⊗'],
] as const
</script>

<template>
  <div class="wrap" tabindex="0" role="region" aria-label="Legs">
    <table>
      <thead>
        <tr>
          <th />
          <th>To</th>
          <th>Set °</th>
          <th>Length mm</th>
          <th>Then</th>
          <th>On the way</th>
          <th />
        </tr>
      </thead>
      <tbody v-for="(id, i) in ids" :key="id" :class="{ on: selected === i }" @focusin="emit('select', i)">
        <tr>
          <th scope="row">{{ i + 1 }}</th>
          <td>
            <select
              :value="text(id, 'to', 'right')"
              :disabled="locked"
              :aria-label="`Leg ${i + 1}, to`"
              :name="`${id}.to`"
              @change="write(id, 'to', $event)"
            >
              <option v-for="to in DIRECTIONS" :key="to" :value="to">{{ DIRECTION_NAME[to] }}</option>
            </select>
          </td>
          <td>
            <input
              v-if="i > 0"
              :value="text(id, 'set', '90')"
              :disabled="locked"
              :aria-label="`Leg ${i + 1}, set`"
              :name="`${id}.set`"
              @input="write(id, 'set', $event)"
            />
          </td>
          <td :class="{ bad: problems[`${id}.length`] }" :title="problems[`${id}.length`]">
            <input
              :value="text(id, 'length')"
              :disabled="locked"
              :aria-label="`Leg ${i + 1}, length`"
              :aria-invalid="Boolean(problems[`${id}.length`])"
              :name="`${id}.length`"
              @input="write(id, 'length', $event)"
            />
          </td>
          <td>
            <select
              v-if="i < ids.length - 1"
              :value="text(id, 'then', 'bend')"
              :disabled="locked"
              :aria-label="`Leg ${i + 1}, then`"
              :name="`${id}.then`"
              @change="write(id, 'then', $event)"
            >
              <option v-for="joint in JOINTS.filter((joint) => joint !== 'end')" :key="joint" :value="joint">
                {{ JOINT_NAME[joint] }}
              </option></select
            ><span v-else class="soft">last box</span>
          </td>
          <td>
            <select
              :value="text(id, 'detour')"
              :disabled="locked"
              :aria-label="`Leg ${i + 1}, on the way`"
              :name="`${id}.detour`"
              @change="write(id, 'detour', $event)"
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
              :aria-label="`Remove leg ${i + 1}`"
              @click="emit('remove', id)"
            >
              ×
            </button>
          </td>
        </tr>
        <tr v-if="text(id, 'detour')" class="detour">
          <td />
          <td colspan="6">
            <DetourBoxes
              :id="id"
              :leg="i + 1"
              :fields="fields"
              :problems="problems"
              :locked="locked"
              @write="(key, typed) => emit('write', key, typed)"
            />
          </td>
        </tr>
        <tr v-for="sentence in sentences.get(i) ?? []" :key="sentence">
          <td />
          <td colspan="6" class="sentences">{{ sentence }}</td>
        </tr>
      </tbody>
    </table>
    <p v-if="!locked" class="add">
      <span class="soft">Add a leg</span
      ><button
        v-for="[to, sign] in ADD"
        :key="to"
        type="button"
        :aria-label="`Add a leg ${DIRECTION_NAME[to]}`"
        :title="DIRECTION_NAME[to]"
        :data-testid="`add-${to}`"
        @click="emit('add', to)"
      >
        <span aria-hidden="true">{{ sign }}</span> {{ DIRECTION_NAME[to] }}
      </button>
    </p>
  </div>
</template>

<style scoped>
.wrap {
  overflow: auto;
}
table {
  border-collapse: collapse;
  width: 100%;
  table-layout: fixed;
}
thead th:nth-child(1) {
  width: 30px;
}
thead th:nth-child(2) {
  width: 128px;
}
thead th:nth-child(3) {
  width: 58px;
}
thead th:nth-child(4) {
  width: 84px;
}
thead th:nth-child(5) {
  width: 142px;
}
thead th:nth-child(7) {
  width: 36px;
}
th {
  white-space: nowrap;
}
thead th {
  text-align: left;
  font-size: 13px;
  color: var(--soft);
  font-weight: var(--mid);
  padding: 2px 6px;
  border-bottom: 1.5px solid var(--ink);
}
tbody {
  border-bottom: 1px solid var(--hem);
}
tbody.on {
  background: var(--indigo-wash);
}
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
.detour .sentences {
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
.add {
  display: flex;
  gap: 6px;
  align-items: center;
  padding: 10px 4px;
}
.add button {
  min-width: 46px;
  min-height: 46px;
  border: 1.5px solid var(--indigo);
  background: transparent;
  color: var(--indigo-text);
  padding: 0 10px;
  font: var(--strong) 14.5px var(--font);
  white-space: nowrap;
  border-radius: var(--ease);
  cursor: pointer;
}
.add button span {
  font-size: 19px;
}
.add button:focus-visible {
  outline: 2.5px solid var(--turmeric);
}
</style>
