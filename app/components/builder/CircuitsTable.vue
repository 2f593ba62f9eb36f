<script setup lang="ts">
import type { InstallationDesign } from '#core/design/reference'
import type { Advice } from '#core/design/advice'
import { idsIn, type ExerciseForm, type FormProblems } from '#core/exercise/form/fields'
import { isTable, pasteCircuits } from '#core/exercise/form/paste'
import {
  CIRCUIT_TEMPLATES,
  addBoard,
  addCircuit,
  removeRow,
  rowOf,
  type CircuitTemplate,
} from '#core/exercise/form/rows'

/**
 * The boards and circuits of an exercise as one table, typed on the left and drawn on the right; `shown` is
 * what the words under the rows go by.
 */
const props = defineProps<{
  form: ExerciseForm
  rows: Readonly<Record<string, Readonly<Record<string, string>>>>
  problems: Readonly<Record<string, Readonly<Record<string, string>>>>
  design: InstallationDesign | null
  shown: {
    readonly problems: FormProblems
    readonly design: InstallationDesign | null
    readonly advice: readonly Advice[]
  }
  selected: string
  locked: boolean
}>()
const emit = defineEmits<{
  write: [key: string, text: string]
  change: [form: ExerciseForm]
  undo: []
  pick: [scope: string]
}>()

const boards = computed(() => idsIn(props.form.boards))
const circuitsOn = (board: string) =>
  idsIn(props.form.circuits)
    .filter((id) => props.form[`${id}.board`] === board)
    .sort((a, b) => Number(props.form[`${a}.way`]) - Number(props.form[`${b}.way`]))
/** Circuits whose board is not there stand with the first one until somebody says where they belong. */
const strays = computed(() =>
  idsIn(props.form.circuits).filter((id) => !boards.value.includes(props.form[`${id}.board`] ?? '')),
)
const designs = computed(() => new Map(props.design?.circuits.map((circuit) => [circuit.scope, circuit])))
const boardDesigns = computed(() => new Map(props.design?.boards.map((board) => [board.scope, board])))
const feeds = computed(() =>
  idsIn(props.form.circuits)
    .filter((id) => props.form[`${id}.use`] === 'distribution')
    .map((id) => ({ id, name: props.form[`${id}.name`] ?? id })),
)
const isThree = (board: string) => props.form[`${board}.phases`] === '3'
const anyThree = computed(() => boards.value.some(isThree))
const span = computed(() => (anyThree.value ? 15 : 14))
const depth = (board: string): number => {
  const feed = props.form[`${board}.fedBy`]
  const above = feed ? props.form[`${feed}.board`] : undefined
  return above && above !== board && boards.value.indexOf(above) < boards.value.indexOf(board)
    ? depth(above) + 1
    : 0
}

const ownProblems = (id: string) => props.problems[id] ?? {}
const words = useRowWords(
  () => props.form,
  () => props.shown,
)

function focusCell(id: string, field: string) {
  void nextTick(() => document.querySelector<HTMLElement>(`[data-cell="${id}.${field}"]`)?.focus())
}
function add(board: string, template: CircuitTemplate) {
  const added = addCircuit(props.form, { ...CIRCUIT_TEMPLATES[template], board })
  emit('change', added.form)
  focusCell(added.id, 'name')
}
function addFrom(board: string, box: HTMLSelectElement) {
  const template = box.value as CircuitTemplate | ''
  // The box is a list of acts, not a value: it goes back to its name.
  box.value = ''
  if (template) add(board, template)
}
function duplicate(id: string) {
  const added = addCircuit(props.form, {
    ...rowOf(props.form, id),
    name: `${props.form[`${id}.name`]}, copy`,
  })
  emit('change', added.form)
  focusCell(added.id, 'name')
}
function remove(id: string) {
  emit('change', removeRow(props.form, id))
  ElMessage({
    type: 'info',
    message: `${props.form[`${id}.name`]} is taken out. Ctrl+Z brings it back.`,
    duration: 5000,
    showClose: true,
  })
}

const all = computed(() => [...boards.value.flatMap(circuitsOn), ...strays.value])
/** Moves up or down in the same column. */
function move(id: string, field: string, by: number) {
  const other = all.value[all.value.indexOf(id) + by]
  if (other) focusCell(other, field)
}
const onKey = useTableKeys(() => props.locked, {
  move,
  addAfter: (id) => add(props.form[`${id}.board`]!, 'Socket radial'),
  duplicate,
  remove,
  undo: () => emit('undo'),
})
function onPaste(event: ClipboardEvent) {
  const text = event.clipboardData?.getData('text/plain') ?? ''
  if (props.locked || !text.includes('\t')) return
  event.preventDefault()
  if (!isTable(text)) {
    ElMessage({
      type: 'warning',
      message:
        'Copy the row of heads as well (circuit, use, load, length …), so that the columns can be told apart. Nothing was changed.',
      duration: 7000,
      showClose: true,
    })
    return
  }
  const pasted = pasteCircuits(props.form, text)
  emit('change', pasted.form)
  const left = pasted.unknown.length
    ? ` Not taken, because no box is called so: ${pasted.unknown.join(', ')}.`
    : ''
  ElMessage({
    type: pasted.unknown.length ? 'warning' : 'success',
    message: `${pasted.added} circuits added.${left} Ctrl+Z takes them out again.`,
    duration: 7000,
    showClose: true,
  })
}
</script>

<template>
  <div class="scroll by-itself" :inert="locked" @keydown="onKey" @paste="onPaste">
    <table class="circuits" aria-label="Boards and circuits">
      <colgroup>
        <col style="width: 34px" />
        <col v-if="anyThree" style="width: 40px" />
        <col style="width: 150px" />
        <col style="width: 82px" />
        <col style="width: 70px" />
        <col style="width: 88px" />
        <col style="width: 36px" />
        <col style="width: 82px" />
        <col style="width: 48px" />
        <col style="width: 50px" />
        <col style="width: 38px" />
        <col style="width: 34px" />
        <col style="width: 78px" />
        <col style="width: 36px" />
        <col style="width: 52px" />
        <col style="width: 330px" />
      </colgroup>
      <thead>
        <tr>
          <th title="Way">way</th>
          <th v-if="anyThree">line</th>
          <th>Circuit</th>
          <th>Use</th>
          <th>Load as</th>
          <th class="num">Load</th>
          <th class="num" title="Points">pts</th>
          <th>Cable</th>
          <th title="Reference method">meth.</th>
          <th class="num">m</th>
          <th class="num" title="Ambient or ground temperature">°C</th>
          <th class="num" title="Grouped circuits">×</th>
          <th>Device</th>
          <th>type</th>
          <th>RCD</th>
          <th class="result">Calculated as you type</th>
        </tr>
      </thead>
      <tbody v-for="board in boards" :key="board">
        <BoardHead
          :id="board"
          :row="rows[board]!"
          :problems="ownProblems(board)"
          :design="boardDesigns.get(board)"
          :depth="depth(board)"
          :span="span"
          :feeds="feeds"
          :says="words[board]!"
          :can-remove="boards.length > 1"
          :locked="locked"
          @write="(field, text) => emit('write', `${board}.${field}`, text)"
          @pick="emit('pick', board)"
          @remove="remove(board)"
        >
          <select
            class="adder"
            :aria-label="`Add a circuit to ${form[`${board}.name`]}`"
            :data-testid="`add-${board}`"
            value=""
            @change="(event) => addFrom(board, event.target as HTMLSelectElement)"
          >
            <option value="">Add a circuit…</option>
            <option v-for="(_, name) in CIRCUIT_TEMPLATES" :key="name" :value="name">{{ name }}</option>
          </select>
        </BoardHead>
        <CircuitRow
          v-for="id in [...circuitsOn(board), ...(board === boards[0] ? strays : [])]"
          :id="id"
          :key="id"
          :row="rows[id]!"
          :problems="ownProblems(id)"
          :design="designs.get(id)"
          :depth="depth(board)"
          :is-three-phase="anyThree"
          :selected="selected === id"
          :words="words[id]!"
          @write="(field, text) => emit('write', `${id}.${field}`, text)"
          @pick="emit('pick', id)"
        />
      </tbody>
    </table>
  </div>
  <div v-if="!locked" class="under">
    <el-button size="small" @click="emit('change', addBoard(form))">Add a board</el-button>
    <el-button
      size="small"
      :disabled="!rows[selected] || boards.includes(selected)"
      @click="duplicate(selected)"
      >Duplicate</el-button
    >
    <el-button size="small" :disabled="!rows[selected] || boards.includes(selected)" @click="remove(selected)"
      >Remove</el-button
    >
    <span class="small soft keys"
      ><kbd>↑</kbd><kbd>↓</kbd> rows · <kbd>Ctrl ↵</kbd> add · <kbd>Ctrl D</kbd> duplicate ·
      <kbd>Ctrl Z</kbd> undo · paste a table with its heads</span
    >
  </div>
</template>

<style scoped>
.scroll {
  overflow-x: auto;
  border: 1px solid var(--hem);
  background: var(--raised);
}
.circuits {
  border-collapse: collapse;
  table-layout: fixed;
  width: 1248px;
  min-width: 100%;
}
th {
  text-align: left;
  font-weight: var(--mid);
  font-size: 12.5px;
  color: var(--soft);
  padding: 4px 6px;
  border-right: 1px solid var(--hem);
  white-space: nowrap;
  overflow: hidden;
}
th.num {
  text-align: right;
}
.result {
  background: var(--panel);
}
.adder {
  border: 1.5px solid var(--indigo);
  background: var(--raised);
  color: var(--indigo-text);
  font: var(--strong) 14px var(--font);
  height: 30px;
  border-radius: var(--ease);
  padding: 0 8px;
  cursor: pointer;
}
.under {
  display: flex;
  gap: 8px;
  align-items: center;
  padding: 8px 0 0;
  flex-wrap: wrap;
}
.keys {
  margin-left: auto;
}
</style>
