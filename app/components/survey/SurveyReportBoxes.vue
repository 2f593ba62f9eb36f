<script setup lang="ts">
import { OBJECTIVES, type Objective } from '#core/survey/sheet/checklist'
import type { SurveySheet } from '#core/survey/sheet/sheet'
import { OBJECTIVE_TEXT } from '#words/survey/items'
import type { Fields } from '~/utils/document-shapes'

/** The words of the report: what no checklist can say. */
const {
  fields,
  sheet,
  isReadOnly = false,
} = defineProps<{ fields: Fields; sheet: SurveySheet; isReadOnly?: boolean }>()
const emit = defineEmits<{ write: [name: string, text: string] }>()
/** In their usual order; with none chosen all of them are asked for. */
const choose = (objective: Objective, isOn: boolean) =>
  emit(
    'write',
    'report.objectives',
    OBJECTIVES.filter((one) => (one === objective ? isOn : sheet.objectives.includes(one))).join(' '),
  )
const PARTS = [
  ['title', 'Title: what, where, when', 1],
  ['report.summary', 'Summary: who for whom, and why', 3],
  ['report.method', 'Method: how you found out', 3],
] as const
const boxes = computed(() => [
  ...PARTS,
  ...sheet.objectives.map(
    (objective) => [`report.conclusion.${objective}`, `Conclusion: ${OBJECTIVE_TEXT[objective]}`, 2] as const,
  ),
  ['report.recommendations', 'Recommendations', 3] as const,
])
</script>

<template>
  <div class="stack">
    <fieldset class="objectives">
      <legend>Objectives: what this survey has to answer</legend>
      <el-checkbox
        v-for="objective in OBJECTIVES"
        :key="objective"
        :model-value="sheet.objectives.includes(objective)"
        :label="OBJECTIVE_TEXT[objective]"
        :disabled="isReadOnly"
        @update:model-value="choose(objective, $event === true)"
      />
    </fieldset>
    <label v-for="[name, label, rows] in boxes" :key="name" class="field"
      ><span>{{ label }}</span
      ><el-input
        :model-value="fields[name] ?? ''"
        :type="rows > 1 ? 'textarea' : 'text'"
        :autosize="rows > 1 ? { minRows: rows } : undefined"
        :name="name"
        :disabled="isReadOnly"
        maxlength="4000"
        @update:model-value="emit('write', name, $event)"
    /></label>
  </div>
</template>

<style scoped>
.objectives {
  border: 0;
  padding: 0;
  margin: 0;
  display: flex;
  flex-wrap: wrap;
  gap: 0 18px;
}
legend {
  font-weight: var(--strong);
  padding: 0;
}
</style>
