<script setup lang="ts">
import { isDrawnIn } from '#core/regulations/cables/sizes'
import type { CableKind } from '#core/regulations/cables/cable'
import type { CircuitField } from '#core/exercise/form/fields'
import { IP_DEGREES } from '#core/regulations/ip'
import { CIRCUIT_NAME, CIRCUIT_UNIT } from '~/texts/builder'
import { DC_NAME, GROUPING_NAME, INFEED_NAME, LOCATION_NAME, MARKING_NAME } from '#words/names'

/** What the table has no column for: shape, factors, place, and what is there already. */
const INSULATION_NAME: Readonly<Record<string, string>> = { 0: 'none', 500: '500 mm and more' }
const props = defineProps<{
  id: string
  row: Readonly<Record<string, string>>
  problems: Readonly<Record<string, string>>
  boards: readonly { id: string; name: string }[]
  isAlteration: boolean
  locked: boolean
}>()
const emit = defineEmits<{ write: [field: CircuitField, text: string] }>()

interface Box {
  field: CircuitField
  options?: readonly { value: string; label: string }[]
  isHidden?: boolean
}
const named = (names: Readonly<Record<string, string>>) =>
  Object.entries(names).map(([value, label]) => ({ value, label }))
const IP_OPTIONS = [
  { value: 'none', label: 'not asked' },
  ...IP_DEGREES.map((ip) => ({ value: ip, label: ip })),
]
const YES_NO = named({ no: 'no', yes: 'yes' })
const INFEED_OPTIONS = named({ none: 'none', ...INFEED_NAME })
const INSULATION_OPTIONS = ['0', '50', '100', '200', '400', '500'].map((value) => ({
  value,
  label: INSULATION_NAME[value] ?? `${value} mm`,
}))
const boxes = computed<Box[]>(() => {
  const { basis, topology, points } = props.row
  // What is filled in counts, so it is shown whatever the kind of task.
  const showsExisting = props.isAlteration || props.row.existingRating !== '' || props.row.existingArea !== ''
  const has = (...kinds: string[]) => kinds.includes(basis!)
  return (
    [
      { field: 'board', options: props.boards.map(({ id, name }) => ({ value: id, label: name })) },
      { field: 'phases', options: named({ 1: 'single phase', 3: 'three phase' }) },
      {
        field: 'topology',
        options: named({ radial: 'radial', ring: 'ring' }),
        isHidden: props.row.use !== 'sockets' && topology === 'radial',
      },
      { field: 'spurs', isHidden: topology !== 'ring' },
      { field: 'spur', isHidden: topology !== 'ring' },
      { field: 'fusedSpurs', isHidden: props.row.use !== 'sockets' },
      { field: 'spread', options: YES_NO, isHidden: Number(points) < 2 },
      { field: 'powerFactor', isHidden: !has('power', 'current', 'motor') },
      { field: 'efficiency', isHidden: !has('motor') },
      { field: 'startMultiple', isHidden: !has('motor') },
      { field: 'discharge', options: YES_NO, isHidden: !has('lamps') },
      { field: 'hasSocket', options: YES_NO, isHidden: !has('cooker') },
      {
        field: 'bunching',
        options: named(GROUPING_NAME),
        isHidden: props.row.grouped === '1' || props.row.method === 'D',
      },
      { field: 'insulation', options: INSULATION_OPTIONS },
      { field: 'betweenBoxes', isHidden: !isDrawnIn(props.row.cable as CableKind) },
      { field: 'bends', isHidden: !isDrawnIn(props.row.cable as CableKind) },
      { field: 'location', options: named(LOCATION_NAME) },
      { field: 'concealed', options: YES_NO },
      { field: 'ip', options: IP_OPTIONS },
      { field: 'area' },
      { field: 'dc', options: named(DC_NAME) },
      { field: 'marking', options: named(MARKING_NAME), isHidden: props.row.curve === '–' },
      {
        field: 'infeed',
        options: INFEED_OPTIONS,
        isHidden: props.row.use !== 'fixed' && props.row.infeed === 'none',
      },
      { field: 'maker' },
      { field: 'existingRating', isHidden: !showsExisting },
      { field: 'existingArea', isHidden: !showsExisting },
    ] satisfies Box[]
  ).filter((box: Box) => !box.isHidden)
})
</script>

<template>
  <div class="details" :inert="locked">
    <FormBox
      v-for="box in boxes"
      :box="`${id}.${box.field}`"
      :key="box.field"
      :name="CIRCUIT_NAME[box.field]"
      :symbol="CIRCUIT_UNIT[box.field]"
      :problem="problems[box.field]"
    >
      <el-select
        v-if="box.options"
        size="small"
        :model-value="row[box.field]"
        :aria-label="CIRCUIT_NAME[box.field]"
        :data-testid="`detail-${box.field}`"
        @update:model-value="emit('write', box.field, $event)"
      >
        <el-option
          v-for="option in box.options"
          :key="option.value"
          :value="option.value"
          :label="option.label"
        />
      </el-select>
      <MakerPoints
        v-else-if="box.field === 'maker'"
        :text="row.maker ?? ''"
        :locked="locked"
        @write="emit('write', 'maker', $event)"
      />
      <el-input
        v-else
        size="small"
        :model-value="row[box.field]"
        :name="`detail-${box.field}`"
        autocomplete="off"
        @update:model-value="emit('write', box.field, $event)"
      />
    </FormBox>
  </div>
</template>

<style scoped>
.details {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 8px 12px;
  align-content: start;
}
</style>
