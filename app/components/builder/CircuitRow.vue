<script setup lang="ts">
import { methodsOf } from '#core/regulations/cables/sizes'
import type { CableKind } from '#core/regulations/cables/cable'
import type { CircuitDesign } from '#core/design/reference'
import { CIRCUIT_BOXES, type CircuitField } from '#core/exercise/form/fields'
import { CIRCUIT_NAME } from '~/texts/builder'
import { BASIS_NAME, CABLE_SHORT, FAMILY_SHORT, USE_SHORT } from '#words/names'

/**
 * One circuit in the table: what is typed on the left, what follows from it on the right, and any words under
 * it.
 */
const props = defineProps<{
  id: string
  row: Readonly<Record<string, string>>
  problems: Readonly<Record<string, string>>
  design: CircuitDesign | undefined
  depth: number
  isThreePhase: boolean
  selected: boolean
  words: readonly { text: string; isStop: boolean }[]
}>()
const emit = defineEmits<{ write: [field: CircuitField, text: string]; pick: [] }>()

const named = (names: Readonly<Record<string, string>>) =>
  Object.entries(names).map(([value, label]) => ({ value, label }))
const own = (field: CircuitField) => {
  const box = CIRCUIT_BOXES[field]
  return box.is === 'choice' ? box.choices.map((value) => ({ value, label: value })) : undefined
}
const USES = named(USE_SHORT)
const BASES = named(BASIS_NAME)
const CABLES = named(CABLE_SHORT)
const FAMILIES = named(FAMILY_SHORT)
const RESIDUALS = [
  { value: 'none', label: 'none' },
  ...['30', '100', '300'].map((value) => ({ value, label: value })),
]
const methods = computed(
  () => methodsOf(props.row.cable as CableKind)?.map((value) => ({ value, label: value })) ?? [],
)

interface Column {
  field: CircuitField
  options?: readonly { value: string; label: string }[]
  mono?: boolean
}
const columns = computed<Column[]>(() => [
  { field: 'way', mono: true },
  ...(props.isThreePhase ? [{ field: 'line', options: own('line') } as Column] : []),
  { field: 'name' },
  { field: 'use', options: USES },
  { field: 'basis', options: BASES },
  { field: 'amount', mono: true },
  { field: 'points', mono: true },
  { field: 'cable', options: CABLES },
  { field: 'method', options: methods.value },
  { field: 'length', mono: true },
  { field: 'ambient', mono: true },
  { field: 'grouped', mono: true },
  { field: 'family', options: FAMILIES },
  { field: 'curve', options: own('curve') },
  { field: 'residual', options: RESIDUALS },
])
</script>

<template>
  <tr class="circuit" :class="{ selected }" :data-row="id" @focusin="emit('pick')" @click="emit('pick')">
    <GridCell
      v-for="column in columns"
      :id="id"
      :key="column.field"
      :field="column.field"
      :label="`${CIRCUIT_NAME[column.field]}, ${row.name}`"
      :model-value="row[column.field] ?? ''"
      :problem="problems[column.field]"
      :options="column.options"
      :mono="column.mono"
      @update:model-value="emit('write', column.field, $event)"
    />
    <td class="sketch">
      <CircuitLine
        :design="design"
        :depth="depth"
        :is-ring="row.topology === 'ring'"
        :is-three="row.phases === '3'"
        :curve="row.curve ?? ''"
      />
    </td>
  </tr>
  <tr v-if="words.length" class="words">
    <td :colspan="columns.length">
      <p v-for="{ text, isStop } in words" :key="text" :class="{ stop: isStop }">{{ text }}</p>
    </td>
    <td class="sketch">
      <svg viewBox="0 0 330 10" preserveAspectRatio="none">
        <line :x1="10 + depth * 18" :x2="10 + depth * 18" y1="-4" y2="14" />
      </svg>
    </td>
  </tr>
</template>

<style scoped>
.circuit {
  border-bottom: 1px solid var(--hem);
}
.circuit.selected {
  background: var(--indigo-wash);
  box-shadow: inset 4px 0 0 var(--indigo);
}
.sketch {
  padding: 0;
  width: 330px;
  background: var(--panel);
  height: 34px;
}
.words td {
  padding: 3px 8px 5px;
  font-size: 13.5px;
  line-height: 1.3;
}
.words .sketch {
  padding: 0;
  height: 1px;
}
.words svg {
  width: 330px;
  height: 100%;
  min-height: 24px;
  display: block;
  overflow: visible;
}
.words line {
  stroke: var(--ink);
  stroke-width: 4;
}
.words p {
  color: var(--turmeric-text);
}
.words p.stop {
  color: var(--madder-text);
  font-weight: var(--strong);
}
</style>
