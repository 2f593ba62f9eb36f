<script setup lang="ts">
import type { FormProblems, HeadField } from '#core/exercise/form/fields'
import { EDITIONS, EDITION_NAME } from '#core/regulations/editions'
import { HEAD_NAME } from '~/texts/builder'
import { CONSEQUENCE_NAME, PREMISES_NAME, STANDBY_NAME } from '#words/names'

/** Supply and building on one line above the boards. */
const props = defineProps<{
  form: Readonly<Record<string, string>>
  problems: FormProblems
  words: readonly string[]
  locked: boolean
}>()
const emit = defineEmits<{ write: [field: HeadField, text: string] }>()

interface Box {
  field: HeadField
  unit?: string
  options?: Readonly<Record<string, string>>
  width: number
}
const BOXES: readonly Box[] = [
  { field: 'arrangement', options: { 'TN-S': 'TN-S', 'TN-C-S': 'TN-C-S', TT: 'TT' }, width: 84 },
  { field: 'phases', options: { 1: '1, 230 V', 3: '3, 400 V' }, width: 90 },
  { field: 'ze', unit: 'Ω', width: 66 },
  { field: 'ipf', unit: 'kA', width: 72 },
  { field: 'mainFuse', unit: 'A', width: 76 },
  { field: 'neutral', unit: 'mm²', width: 76 },
  { field: 'service', options: { plastic: 'plastic', metal: 'metal, bonded' }, width: 112 },
  { field: 'standby', options: STANDBY_NAME, width: 104 },
  { field: 'standbyPower', width: 72 },
  { field: 'premises', options: PREMISES_NAME, width: 112 },
  { field: 'consequence', options: CONSEQUENCE_NAME, width: 138 },
  {
    field: 'edition',
    options: Object.fromEntries(EDITIONS.map((edition) => [edition, EDITION_NAME[edition]])),
    width: 156,
  },
]
/** Its power is asked where there is a standby source. */
const boxes = computed(() =>
  BOXES.filter(({ field }) => field !== 'standbyPower' || (props.form.standby ?? 'none') !== 'none'),
)
</script>

<template>
  <div class="intake by-itself" :inert="locked">
    <FormBox
      v-for="box in boxes"
      :key="box.field"
      :box="box.field"
      :name="HEAD_NAME[box.field]"
      :symbol="box.unit"
      :problem="problems[box.field]"
      :style="{ width: `${box.width}px` }"
    >
      <el-select
        v-if="box.options"
        size="small"
        :model-value="form[box.field]"
        :aria-label="HEAD_NAME[box.field]"
        :data-testid="`box-${box.field}`"
        @update:model-value="emit('write', box.field, $event)"
      >
        <el-option v-for="(label, value) in box.options" :key="value" :value="value" :label="label" />
      </el-select>
      <el-input
        v-else
        size="small"
        :model-value="form[box.field]"
        :name="box.field"
        autocomplete="off"
        @update:model-value="emit('write', box.field, $event)"
      />
    </FormBox>
    <p v-for="text in words" :key="text" class="words">{{ text }}</p>
  </div>
</template>

<style scoped>
.intake {
  display: flex;
  gap: 8px 12px;
  flex-wrap: wrap;
  align-items: flex-end;
}
.words {
  flex-basis: 100%;
  color: var(--turmeric-text);
  font-size: 13.5px;
}
</style>
