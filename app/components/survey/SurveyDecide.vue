<script setup lang="ts">
import type { SurveyView } from '#schemas/survey-views'

/** An assessor decides on a survey as it was handed in, for the criteria that it shows. */
const { id, view } = defineProps<{ id: number; view: SurveyView }>()
const emit = defineEmits<{ decided: [view: SurveyView] }>()
const { call } = useApi()
const { isBusy, act } = useAct()
const feedback = ref('')
const criteria = ref<string[]>([])
const last = computed(() => view.handIns.at(-1))
const isDecided = computed(() => view.decisions.at(-1)?.handInId === last.value?.id)
const decide = (met: boolean) =>
  act(async () => {
    const body = { handInId: last.value!.id, met, feedback: feedback.value, criteria: criteria.value }
    emit('decided', await call<SurveyView>('POST', `surveys/${id}/decision`, body))
    feedback.value = ''
  })
</script>

<template>
  <section class="stitched stack">
    <h2>{{ isDecided ? 'Decide again' : 'Decide' }}</h2>
    <el-select
      v-model="criteria"
      multiple
      filterable
      placeholder="Criteria that it shows"
      aria-label="Criteria that it shows"
      data-testid="survey-criteria"
    >
      <el-option
        v-for="one in view.criteria"
        :key="one.code"
        :value="one.code"
        :label="`${one.code} ${one.text}`"
      />
    </el-select>
    <label class="field"
      ><span>Feedback</span
      ><el-input v-model="feedback" type="textarea" :autosize="{ minRows: 3 }" name="survey-feedback"
    /></label>
    <div class="row">
      <el-button type="primary" :loading="isBusy" data-testid="survey-met" @click="decide(true)"
        >Met</el-button
      >
      <el-button :loading="isBusy" :disabled="!feedback.trim()" @click="decide(false)">Not yet</el-button>
    </div>
    <p class="soft small">
      A survey of an invented site is simulated evidence; of a real place it is a product.
    </p>
  </section>
</template>
