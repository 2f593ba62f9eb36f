<script setup lang="ts">
import { methodsOf, type CableKind } from '#core/regulations/cables'
import { AMBIENT_FACTOR } from '#core/regulations/rating-factors'
import type { ExerciseForm, FormField } from '#core/exercise/form'
import type { Framework } from '#core/outcomes/framework'
import { FIELD_NAME } from '~/texts/builder'
import { ARRANGEMENT_NAME, CABLE_NAME, FAMILY_NAME, LOCATION_NAME, METHOD_NAME, PREMISES_NAME, USE_NAME } from '~/texts/task-facts'

const props = defineProps<{ form: ExerciseForm; problems: Readonly<Partial<Record<FormField, string>>>; framework: Framework | null; locked: boolean }>()
const emit = defineEmits<{ write: [field: FormField, text: string] }>()

// A box complains once it has been left, not while the first letter is typed.
const left = reactive(new Set<FormField>())
const problem = (field: FormField) => (left.has(field) || props.form[field] !== '' ? props.problems[field] : undefined)

const pairs = (names: Record<string, string>) => Object.entries(names).map(([value, label]) => ({ value, label }))
const methods = computed(() => methodsOf(props.form.cable as CableKind).map((method) => ({ value: method, label: METHOD_NAME[method] })))
watch(() => props.form.cable, () => {
  if (!methods.value.some(({ value }) => value === props.form.method)) emit('write', 'method', methods.value[0]!.value)
})

interface Box { field: FormField; symbol?: string; options?: readonly { value: string; label: string }[]; wide?: boolean; hidden?: boolean }
const PARTS = computed<{ name: string; boxes: Box[] }[]>(() => [
  { name: 'Supply', boxes: [
    { field: 'arrangement', options: pairs({ 'TN-S': 'TN-S', 'TN-C-S': 'TN-C-S', TT: 'TT' }) },
    { field: 'ze', symbol: 'Ω' }, { field: 'ipf', symbol: 'kA' },
  ] },
  { name: 'Load', boxes: [
    { field: 'use', options: pairs(USE_NAME) },
    { field: 'basis', options: pairs({ power: 'Power', current: 'Current' }) },
    { field: 'power', symbol: 'W', hidden: props.form.basis !== 'power' },
    { field: 'current', symbol: 'A', hidden: props.form.basis !== 'current' },
    { field: 'powerFactor', symbol: 'cos φ' },
    { field: 'premises', options: pairs(PREMISES_NAME) },
    { field: 'location', options: pairs(LOCATION_NAME) },
  ] },
  { name: 'Run', boxes: [
    { field: 'length', symbol: 'm' },
    { field: 'cable', options: pairs(CABLE_NAME) },
    { field: 'method', options: methods.value },
    { field: 'ambient', options: [...AMBIENT_FACTOR.keys()].map((c) => ({ value: String(c), label: `${c} °C` })) },
    { field: 'circuits', options: Array.from({ length: 9 }, (_, i) => ({ value: String(i + 1), label: String(i + 1) })) },
    { field: 'bunching', options: pairs(ARRANGEMENT_NAME) },
    { field: 'concealed', options: pairs({ no: 'No', yes: 'Yes' }) },
  ] },
  { name: 'Protection', boxes: [
    { field: 'family', options: pairs(FAMILY_NAME) },
    { field: 'curve', options: pairs({ B: 'B', C: 'C', D: 'D' }) },
    { field: 'residual', options: pairs({ none: 'None', 30: '30 mA', 100: '100 mA', 300: '300 mA' }).sort((a) => (a.value === 'none' ? -1 : 1)) },
  ] },
  { name: 'Variants', boxes: [{ field: 'lengthSpread' }, { field: 'loadSpread' }, { field: 'seed' }] },
])
const criteria = computed({
  get: () => props.form.criteria.split(' ').filter(Boolean),
  set: (codes: string[]) => emit('write', 'criteria', codes.join(' ')),
})
</script>

<template>
  <form class="form" :inert="locked" @submit.prevent @focusout="left.add(($event.target as HTMLInputElement).name as FormField)">
    <section>
      <h2>Exercise</h2>
      <FormBox :name="FIELD_NAME.code" :problem="problem('code')"><el-input :model-value="form.code" @update:model-value="emit('write', 'code', $event)" name="code" /></FormBox>
      <FormBox :name="FIELD_NAME.title" :problem="problem('title')" class="two"><el-input :model-value="form.title" @update:model-value="emit('write', 'title', $event)" name="title" /></FormBox>
      <FormBox :name="FIELD_NAME.circuitName" :problem="problem('circuitName')" wide><el-input :model-value="form.circuitName" @update:model-value="emit('write', 'circuitName', $event)" name="circuitName" /></FormBox>
      <FormBox :name="FIELD_NAME.scenario" wide><el-input :model-value="form.scenario" @update:model-value="emit('write', 'scenario', $event)" type="textarea" :autosize="{ minRows: 2, maxRows: 6 }" name="scenario" maxlength="4000" /></FormBox>
    </section>
    <section v-for="part in PARTS" :key="part.name">
      <h2>{{ part.name }}</h2>
      <template v-for="box in part.boxes" :key="box.field">
        <FormBox v-if="!box.hidden" :name="FIELD_NAME[box.field]" :symbol="box.symbol" :problem="problem(box.field)">
          <el-select v-if="box.options" :model-value="form[box.field]" @update:model-value="emit('write', box.field, $event)" :aria-label="FIELD_NAME[box.field]" :data-testid="`box-${box.field}`">
            <el-option v-for="option in box.options" :key="option.value" :value="option.value" :label="option.label" />
          </el-select>
          <el-input v-else :model-value="form[box.field]" @update:model-value="emit('write', box.field, $event)" :name="box.field" autocomplete="off" spellcheck="false" class="number" />
        </FormBox>
      </template>
    </section>
    <section>
      <h2>Criteria it evidences</h2>
      <div class="criteria">
        <el-checkbox-group v-model="criteria">
          <template v-for="unit in framework?.units ?? []" :key="unit.code">
            <el-checkbox v-for="criterion in unit.criteria" :key="criterion.code" :value="criterion.code" :label="criterion.code" :title="criterion.text" />
          </template>
        </el-checkbox-group>
        <span v-if="problems.criteria" class="problem">{{ problems.criteria }}</span>
      </div>
    </section>
  </form>
</template>

<style scoped>
.form { display: flex; flex-direction: column; gap: 14px; }
section { border-top: 1px solid var(--hem); margin: 0; padding: 8px 0 0; display: grid; grid-template-columns: repeat(3, minmax(0, 1fr)); gap: 9px 12px; }
h2 { grid-column: 1 / -1; font-size: 15.5px; margin-bottom: -4px; }
.two { grid-column: span 2; }
.number :deep(input) { font-family: var(--mono); font-weight: 600; }
.criteria { grid-column: 1 / -1; }
.problem { color: var(--madder-text); font-size: 13px; }
</style>
