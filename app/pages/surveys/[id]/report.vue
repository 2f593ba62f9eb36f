<script setup lang="ts">
import { readSheet } from '#core/survey/sheet/sheet'
import { scaleOf } from '#core/survey/plan/plan'
import type { SurveyFollows, SurveyView } from '#schemas/survey-views'
import { reportOf } from '#words/survey/report'

/** The report of a survey on A4. */
definePageMeta({ roles: ['apprentice', 'instructor', 'assessor'] })
const id = useRoute().params.id
const { data, problem, refresh } = useServer<SurveyView>(() => `surveys/${id}`)
const { data: follows } = useServer<SurveyFollows>(() => `surveys/${id}/follows`)
const sheet = computed(() => (data.value ? readSheet(data.value.fields) : null))
const report = computed(() =>
  sheet.value ? reportOf(data.value!.fields, sheet.value, follows.value?.tooLong ?? []) : null,
)
const print = () => window.print()
</script>

<template>
  <div class="page">
    <PageProblem v-if="problem" :problem="problem" @retry="refresh" />
    <div v-else-if="!report || !sheet || !data" class="skeleton" style="height: 400px" />
    <template v-else>
      <div class="row spread screen-only bar">
        <LinkButton :to="`/surveys/${id}`">Back to the survey</LinkButton>
        <el-button type="primary" @click="print">Print</el-button>
      </div>
      <article class="report">
        <h1>{{ report.title }}</h1>
        <p class="soft">
          Survey by {{ data.person
          }}<template v-if="data.savedAt">, as of {{ dayTime(data.savedAt) }}</template>
        </p>
        <h2>Summary</h2>
        <p class="words">{{ report.summary || 'Not written yet.' }}</p>
        <h2>Objectives</h2>
        <ul>
          <li v-for="objective in report.objectives" :key="objective">{{ objective }}</li>
        </ul>
        <h2>Method</h2>
        <p class="words">{{ report.method || 'Not written yet.' }}</p>
        <h2>Findings</h2>
        <template v-for="part in report.findings" :key="part.heading">
          <h3>{{ part.heading }}</h3>
          <table class="grid-table">
            <tbody>
              <tr v-for="line in part.lines" :key="line.name">
                <td class="what">{{ line.name }}</td>
                <td>{{ line.text }}</td>
                <td class="soft from">{{ line.source }}</td>
              </tr>
            </tbody>
          </table>
        </template>
        <PlanDrawing
          :plan="sheet.plan"
          :scale="scaleOf(sheet.plan)"
          :image="data.fields['plan.image'] ?? ''"
        />
        <h2>Conclusion</h2>
        <p v-for="one in report.conclusions" :key="one.objective" class="words">
          <b>{{ one.objective }}.</b> {{ one.text }}
        </p>
        <h2>Recommendations</h2>
        <p class="words">{{ report.recommendations || 'None.' }}</p>
        <template v-if="report.open.length">
          <h2>Still open</h2>
          <ul>
            <li v-for="one in report.open" :key="one">{{ one }}</li>
          </ul>
        </template>
        <p class="caution">
          A survey read in an exercise. It does not say that an installation is safe; work on it follows the
          regulations in force and the centre’s rules, under supervision.
        </p>
        <SealFoot />
      </article>
    </template>
  </div>
</template>

<style scoped>
.bar {
  margin-bottom: 14px;
}
.report {
  max-width: 800px;
  margin: 0 auto;
}
.report h2 {
  margin: 18px 0 4px;
}
.report h3 {
  margin: 10px 0 2px;
}
.words {
  white-space: pre-line;
  margin-bottom: 4px;
}
.what {
  width: 220px;
}
.from {
  width: 130px;
  font-size: 13px;
}
tr {
  break-inside: avoid;
}
</style>
