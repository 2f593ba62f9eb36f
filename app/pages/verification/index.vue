<script setup lang="ts">
import type { VerificationView } from '#schemas/evidence-views'
import { KIND_TEXT } from '#words/evidence/labels'
import { SAMPLE_REASON_TEXT, agreementSays } from '#words/evidence/verification'

/** What a second assessor should look at, where two differed, how far they agree; appeals. */
definePageMeta({ roles: ['instructor', 'assessor', 'verifier', 'administrator'] })
const { data, problem, refresh } = useServer<VerificationView>(() => 'verification')
const tab = ref('sample')
const role = useSession().person!.role
const mayJudge = ['instructor', 'assessor'].includes(role)
const open = computed(() => data.value?.differences.filter(({ settled }) => settled === null).length ?? 0)
const byKind = computed(
  () =>
    data.value?.agreement.byKind.map(({ of, agreement }) => ({
      of: KIND_TEXT[of as keyof typeof KIND_TEXT],
      agreement,
    })) ?? [],
)
const print = () => window.print()
</script>

<template>
  <div class="page stack">
    <div class="row spread">
      <div>
        <h1>Verification</h1>
        <p class="soft">
          A decision is worth what a second assessor would have decided. Both stay in the record.
        </p>
      </div>
      <el-button @click="print">Print on A4</el-button>
    </div>
    <ServerProblem v-if="problem" :problem="problem" @retry="refresh" />
    <div v-else-if="!data" class="skeleton" style="height: 240px" />
    <el-tabs v-else v-model="tab">
      <el-tab-pane
        :label="`To look at (${data.sample.filter(({ isDone }) => !isDone).length})`"
        name="sample"
      >
        <p class="soft small explain">
          By risk first, and {{ data.randomPercent }} in a hundred by chance. Whoever marked it first does not
          judge it a second time; marks, decision and name stay hidden until the second judgement stands.
        </p>
        <p v-if="data.sample.length === 0" class="soft">Nothing has been decided in the last half year.</p>
        <el-table
          v-else
          :data="data.sample as VerificationView['sample'][number][]"
          max-height="560"
          row-key="decisionId"
        >
          <el-table-column label="Exercise" min-width="240"
            ><template #default="{ row }"
              >{{ row.exerciseCode }} {{ row.exerciseTitle }}</template
            ></el-table-column
          >
          <el-table-column label="Apprentice" min-width="150"
            ><template #default="{ row }">{{ row.person || 'hidden' }}</template></el-table-column
          >
          <el-table-column label="Decided" width="150"
            ><template #default="{ row }">{{ dayTime(row.at) }}</template></el-table-column
          >
          <el-table-column label="Why" min-width="240"
            ><template #default="{ row }"
              ><span v-for="reason in row.reasons" :key="reason" class="tag plain why">{{
                SAMPLE_REASON_TEXT[reason as keyof typeof SAMPLE_REASON_TEXT]
              }}</span></template
            ></el-table-column
          >
          <el-table-column label="" width="170"
            ><template #default="{ row }">
              <span v-if="row.isOwn" class="soft">your own decision</span>
              <NuxtLink
                v-else-if="mayJudge && (!row.isDone || row.person === '')"
                :to="`/verification/${row.decisionId}`"
                >Judge it blind</NuxtLink
              >
              <span v-else class="tag met">{{ row.isDone ? 'judged twice' : 'waits' }}</span>
            </template></el-table-column
          >
        </el-table>
      </el-tab-pane>
      <el-tab-pane :label="`Differences (${open})`" name="differences">
        <div class="stack">
          <p v-if="data.differences.length === 0" class="soft">No two judgements differ.</p>
          <DifferenceCard
            v-for="difference in data.differences"
            :key="difference.secondId"
            :difference="difference"
            :may-settle="mayJudge"
            @settled="data = $event"
          />
        </div>
      </el-tab-pane>
      <el-tab-pane label="Agreement" name="agreement">
        <div class="stack">
          <p data-testid="agreement">
            <b>All criteria:</b> {{ agreementSays(data.agreement.all) }}. <b>Whole sheets</b>, weighted:
            {{ agreementSays(data.agreement.sheets, data.agreement.sheets.weighted) }}.
          </p>
          <AgreementPlot :rows="data.agreement.byAssessor" />
          <AgreementPlot :rows="data.agreement.byCriterion" />
          <AgreementPlot :rows="byKind" />
        </div>
      </el-tab-pane>
      <el-tab-pane label="Standardisation" name="standardisation">
        <div class="stack">
          <p v-if="data.standardisation.length === 0" class="soft">
            No work has been judged by several yet: let two or more judge the same sheet blind.
          </p>
          <table v-for="one in data.standardisation" :key="one.decisionId" class="grid-table">
            <thead>
              <tr>
                <th>{{ one.exerciseTitle }}</th>
                <th v-for="judge in one.judges" :key="judge">{{ judge }}</th>
              </tr>
            </thead>
            <tbody>
              <tr v-for="row in one.criteria" :key="row.code">
                <td>
                  <b class="mono">{{ row.code }}</b> {{ row.text }}
                </td>
                <td v-for="(met, i) in row.met" :key="i">
                  <span class="tag" :class="met ? 'met' : 'wrong'">{{ met ? 'met' : 'not yet' }}</span>
                </td>
              </tr>
            </tbody>
          </table>
        </div>
      </el-tab-pane>
      <el-tab-pane v-if="role !== 'administrator'" label="Appeals" name="appeals" lazy
        ><AppealList
      /></el-tab-pane>
    </el-tabs>
    <SealFoot />
  </div>
</template>

<style scoped>
.explain {
  max-width: 90ch;
  margin-bottom: 10px;
}
.why {
  margin-right: 6px;
}
</style>
