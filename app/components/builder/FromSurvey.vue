<script setup lang="ts">
import type { ExerciseSurvey } from '#schemas/survey-views'
import { originSays } from '#words/survey/says'
import { boxName } from '~/texts/builder'

/** What the survey of an exercise says of its boxes today, and what has changed since they were taken. */
const { id, survey, form, mayChange, isChanged } = defineProps<{
  id: number
  survey: ExerciseSurvey
  form: Readonly<Record<string, string>>
  mayChange: boolean
  isChanged: boolean
}>()
const emit = defineEmits<{ taken: [] }>()
const { call } = useApi()
const { isBusy, act } = useAct()
const differing = computed(() =>
  survey.boxes.filter(({ now, surveyed }) => surveyed !== null && now !== null && now !== surveyed),
)
const isOther = computed(() => differing.value.length + survey.added.length + survey.gone.length > 0)
const take = () =>
  act(async () => {
    await call('POST', `exercises/${id}/survey`, {
      version: survey.version,
      boxes: differing.value.map(({ box }) => box),
    })
    emit('taken')
  })
</script>

<template>
  <details class="stitched" :class="{ waiting: isOther }" data-testid="from-survey">
    <summary>
      From the survey
      <NuxtLink :to="`/surveys/${survey.survey.id}`">{{ survey.survey.title }}</NuxtLink>:
      {{ survey.boxes.length }} fields,
      {{ isOther ? `${differing.length} differ from it today` : 'all as in the survey today' }}
    </summary>
    <p v-if="survey.added.length">Routes that are no circuit here: {{ survey.added.join(', ') }}.</p>
    <p v-if="survey.gone.length">Circuits whose route has been removed: {{ survey.gone.join(', ') }}.</p>
    <table v-if="differing.length" class="grid-table">
      <thead>
        <tr>
          <th>Field</th>
          <th>Here</th>
          <th>Survey</th>
          <th>Because</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="one in differing" :key="one.box">
          <td>{{ boxName(one.box, form) }}</td>
          <td class="mono">{{ one.now }}</td>
          <td class="mono">{{ one.surveyed }}</td>
          <td class="soft">{{ one.from ? originSays(one.from) : '' }}</td>
        </tr>
      </tbody>
    </table>
    <p v-if="differing.length && survey.isSet" class="soft small">
      This exercise is with apprentices and stays as it is. Duplicate it to take the changes over.
    </p>
    <el-button
      v-else-if="differing.length && mayChange"
      type="primary"
      :disabled="isChanged"
      :loading="isBusy"
      data-testid="take-survey"
      @click="take"
      >Take them over</el-button
    >
    <p v-if="differing.length && isChanged" class="soft small">Save what you have typed first.</p>
  </details>
</template>

<style scoped>
summary {
  cursor: pointer;
  min-height: 24px;
  font-weight: var(--strong);
}
</style>
