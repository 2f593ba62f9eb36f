<script setup lang="ts">
import { ITEM_KEYS, OBJECTIVES, SOURCES, itemOf, type ItemKey } from '#core/survey/sheet/checklist'
import type { SurveySheet } from '#core/survey/sheet/sheet'
import { QUANTITIES } from '#core/units/quantity'
import { ITEM_TEXT, OBJECTIVE_TEXT, SOURCE_TEXT, choiceText } from '#words/survey/items'
import type { Fields } from '~/utils/document-shapes'

/** Everything that is asked, in the order in which one walks; each with how it came to be known. */
const {
  fields,
  sheet,
  isReadOnly = false,
} = defineProps<{ fields: Fields; sheet: SurveySheet; isReadOnly?: boolean }>()
const emit = defineEmits<{ write: [name: string, text: string] }>()
const groups = computed(() =>
  OBJECTIVES.filter((objective) => sheet.objectives.includes(objective))
    .map((objective) => ({
      objective,
      items: ITEM_KEYS.filter((key) => itemOf(key).objective === objective),
    }))
    .filter(({ items }) => items.length > 0),
)
const PROBLEM_TEXT = {
  notOne: 'Choose one of the list.',
  notANumber: 'This is no figure with its unit.',
  outOfRange: 'This is further than such a figure goes. Check the unit.',
  notADay: 'This is no day.',
} as const
const problemOf = (key: ItemKey) => {
  const problem = sheet.answers.get(key)!.problem
  return problem ? PROBLEM_TEXT[problem] : ''
}
const unitOf = (key: ItemKey) => {
  const { quantity } = itemOf(key)
  return quantity ? QUANTITIES[quantity].unit : ''
}
const put = (key: ItemKey, text: string | null) => emit('write', `item.${key}`, text ?? '')
</script>

<template>
  <div class="groups">
    <section v-for="group in groups" :key="group.objective" class="stack">
      <h2>{{ OBJECTIVE_TEXT[group.objective] }}</h2>
      <div v-for="key in group.items" :key="key" class="line">
        <label :for="`item-${key}`">{{ ITEM_TEXT[key] }}</label>
        <div>
          <el-select
            v-if="itemOf(key).is === 'choice'"
            :id="`item-${key}`"
            :model-value="fields[`item.${key}`] ?? ''"
            clearable
            :disabled="isReadOnly"
            :data-testid="`item-${key}`"
            placeholder=" "
            @update:model-value="put(key, $event)"
          >
            <el-option
              v-for="choice in itemOf(key).choices"
              :key="choice"
              :value="choice"
              :label="choiceText(choice)"
            />
          </el-select>
          <DayPicker
            :model-value="fields[`item.${key}`] ?? ''"
            @update:model-value="put(key, $event)"
            :label="ITEM_TEXT[key]"
            v-else-if="itemOf(key).is === 'day'"
            :id="`item-${key}`"
            :disabled="isReadOnly"
            clearable
          />
          <el-input
            v-else
            :id="`item-${key}`"
            :model-value="fields[`item.${key}`] ?? ''"
            :name="`item.${key}`"
            :disabled="isReadOnly"
            maxlength="300"
            @update:model-value="put(key, $event)"
            ><template v-if="unitOf(key)" #suffix>{{ unitOf(key) }}</template></el-input
          >
          <p v-if="problemOf(key)" class="caution" role="alert">{{ problemOf(key) }}</p>
        </div>
        <el-select
          :model-value="fields[`source.${key}`] ?? ''"
          clearable
          :disabled="isReadOnly"
          :aria-label="`How ${ITEM_TEXT[key]} is known`"
          placeholder="known from"
          :class="{ assumed: fields[`source.${key}`] === 'assumed' }"
          @update:model-value="emit('write', `source.${key}`, $event ?? '')"
        >
          <el-option v-for="source in SOURCES" :key="source" :value="source" :label="SOURCE_TEXT[source]" />
        </el-select>
      </div>
    </section>
  </div>
</template>

<style scoped>
.groups {
  display: grid;
  grid-template-columns: repeat(2, minmax(0, 1fr));
  gap: 22px 34px;
}
.line {
  display: grid;
  grid-template-columns: 190px minmax(0, 1fr) 130px;
  gap: 10px;
  align-items: start;
  border-bottom: 1px solid var(--hem);
  padding-bottom: 7px;
}
.line > label {
  padding-top: 6px;
  font-weight: var(--strong);
}
.assumed :deep(.el-select__wrapper) {
  box-shadow: 0 0 0 1.5px var(--turmeric) inset;
}
@media (max-width: 1100px) {
  .groups {
    grid-template-columns: 1fr;
  }
}
@media (max-width: 600px) {
  .line {
    grid-template-columns: 1fr;
  }
}
</style>
