<script setup lang="ts">
import type { AppealView } from '#schemas/evidence-views'

/** Appeals: the reason, and the answer of somebody else than whoever decided. */
const { call } = useApi()
const { isBusy, act } = useAct()
const { data, problem, refresh } = useServer<AppealView[]>(() => 'appeals')
const reasons = reactive<Record<number, string>>({})
const answer = (id: number, outcome: 'upheld' | 'notUpheld') =>
  act(async () => {
    data.value = await call<AppealView[]>('POST', `appeals/${id}/answer`, {
      outcome,
      reason: reasons[id] ?? '',
    })
  })
const OUTCOME_TEXT = { upheld: 'upheld: back to marking', notUpheld: 'not upheld' } as const
</script>

<template>
  <ServerProblem v-if="problem" :problem="problem" @retry="refresh" />
  <div v-else-if="!data" class="skeleton" style="height: 90px" />
  <p v-else-if="data.length === 0" class="soft">Nobody has appealed against a decision.</p>
  <div v-else class="stack">
    <article v-for="appeal in data" :key="appeal.id" class="stitched stack" data-testid="appeal">
      <div class="row spread">
        <h3>{{ appeal.person }} · {{ appeal.exerciseTitle }}</h3>
        <NuxtLink :to="`/marking/${appeal.attemptId}`">The sheet</NuxtLink>
      </div>
      <p>
        {{ appeal.reason }}
        <span class="soft small"
          >{{ dayTime(appeal.at) }}, against the decision of {{ appeal.decidedBy }}</span
        >
      </p>
      <p v-if="appeal.outcome" class="small">
        <span class="tag" :class="appeal.outcome === 'upheld' ? 'met' : 'plain'">{{
          OUTCOME_TEXT[appeal.outcome]
        }}</span>
        {{ appeal.answeredBy }}, {{ dayTime(appeal.answeredAt!) }}: {{ appeal.answer }}
      </p>
      <div v-else-if="appeal.mayAnswer" class="row">
        <el-input
          v-model="reasons[appeal.id]"
          class="reason"
          placeholder="Answer, with the reason"
          aria-label="Answer"
          name="appeal-answer"
        />
        <el-button
          :disabled="!reasons[appeal.id]?.trim()"
          :loading="isBusy"
          @click="answer(appeal.id, 'upheld')"
          >Uphold: mark it again</el-button
        >
        <el-button
          :disabled="!reasons[appeal.id]?.trim()"
          :loading="isBusy"
          @click="answer(appeal.id, 'notUpheld')"
          >Do not uphold</el-button
        >
      </div>
      <p v-else class="soft small">Somebody else than {{ appeal.decidedBy }} answers it.</p>
    </article>
  </div>
</template>

<style scoped>
.reason {
  width: 420px;
}
</style>
