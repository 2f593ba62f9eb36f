<script setup lang="ts">
import { straightIds, type RunFields } from '#core/containment/form'
import type { DIRECTIONS } from '#core/containment/containment-run'
import { DIRECTION_NAME } from '#words/containment'

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
const NOTHING: readonly string[] = []
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
  <div class="wrap by-itself" tabindex="0" role="region" aria-label="Legs">
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
      <StraightRow
        v-for="(id, i) in ids"
        :id="id"
        :key="id"
        :leg="i + 1"
        :is-last="i === ids.length - 1"
        :class="{ on: selected === i }"
        :fields
        :problems
        :sentences="sentences.get(i) ?? NOTHING"
        :locked
        @focusin="emit('select', i)"
        @write="(key, typed) => emit('write', key, typed)"
        @remove="emit('remove', id)"
      />
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
