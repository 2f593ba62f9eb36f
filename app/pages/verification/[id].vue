<script setup lang="ts">
import type { BlindView, VerificationView } from '#schemas/evidence-views'

/** The work of a decision without marks, decision or name; each criterion is judged anew. */
definePageMeta({ roles: ['instructor', 'assessor'] })
const id = Number(useRoute().params.id)
const { call } = useApi()
const { isBusy, act } = useAct()
const { data, problem, refresh } = useServer<BlindView>(() => `verification/${id}/blind`)
const verdicts = reactive<Record<string, 'met' | 'notYet'>>({})
const reasons = reactive<Record<string, string>>({})
const isWhole = computed(
  () =>
    data.value?.criteria.every(
      ({ code }) => verdicts[code] === 'met' || (verdicts[code] === 'notYet' && !!reasons[code]?.trim()),
    ) ?? false,
)
const judge = () =>
  act(async () => {
    await call<VerificationView>('POST', 'verification', {
      decisionId: id,
      verdicts: data.value!.criteria.map(({ code }) => ({
        code,
        met: verdicts[code] === 'met',
        reason: reasons[code]?.trim() ?? '',
      })),
    })
    ElMessage({
      type: 'success',
      message: 'Your judgement stands. The first decision is shown now.',
      showClose: true,
    })
    await navigateTo('/verification')
  })
</script>

<template>
  <div class="page stack">
    <PageProblem v-if="problem" :problem="problem" @retry="refresh" />
    <div v-else-if="!data" class="skeleton" style="height: 300px" />
    <template v-else>
      <div>
        <h1>{{ data.exerciseCode }} {{ data.exerciseTitle }}</h1>
        <p class="soft">
          Bay {{ data.bay }} · somebody’s work, judged without knowing whose or how it was marked
        </p>
      </div>
      <div class="columns">
        <section class="stack" aria-label="The work">
          <table class="grid-table">
            <thead>
              <tr>
                <th>Box</th>
                <th>As it was typed</th>
              </tr>
            </thead>
            <tbody>
              <tr v-for="item in data.work" :key="item.name">
                <td>{{ item.name }}</td>
                <td class="mono">
                  {{ item.typed || '–' }}
                  <span v-if="/\d\s*$/.test(item.typed)" class="soft">{{ item.unit }}</span>
                </td>
              </tr>
            </tbody>
          </table>
          <template v-if="data.asked.length">
            <h2>Questions at the bay</h2>
            <p v-for="one in data.asked" :key="one.wording" class="small">
              {{ one.wording }} – {{ one.outcome }}
            </p>
          </template>
        </section>
        <section class="stack" aria-label="Your judgement">
          <h2>Your judgement</h2>
          <div v-for="{ code, text } in data.criteria" :key="code" class="criterion">
            <p>
              <b class="mono">{{ code }}</b> {{ text }}
            </p>
            <el-radio-group v-model="verdicts[code]" :aria-label="code">
              <el-radio-button value="met">Met</el-radio-button>
              <el-radio-button value="notYet">Not yet</el-radio-button>
            </el-radio-group>
            <el-input
              v-if="verdicts[code] === 'notYet'"
              v-model="reasons[code]"
              placeholder="Why not yet"
              :aria-label="`Why ${code} is not yet met`"
              :name="`reason-${code}`"
            />
          </div>
          <el-button
            type="primary"
            size="large"
            :disabled="!isWhole"
            :loading="isBusy"
            data-testid="judge"
            @click="judge"
            >This is my judgement</el-button
          >
          <p class="soft small">
            It stays as it is. Then the first decision is shown, and differences are talked through.
          </p>
        </section>
      </div>
    </template>
  </div>
</template>

<style scoped>
.columns {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 420px;
  gap: 26px;
  align-items: start;
}
.criterion {
  display: grid;
  gap: 6px;
  border-bottom: 1px solid var(--hem);
  padding-bottom: 10px;
}
@media (max-width: 1000px) {
  .columns {
    grid-template-columns: 1fr;
  }
}
</style>
