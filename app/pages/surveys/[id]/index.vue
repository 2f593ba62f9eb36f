<script setup lang="ts">
import { scaleOf } from '#core/survey/plan/plan'
import { gapsOfSurvey } from '#core/survey/sheet/complete'
import { contradictionsOf } from '#core/survey/sheet/contradictions'
import { readSheet } from '#core/survey/sheet/sheet'
import type { SurveyFollows, SurveyView } from '#schemas/survey-views'
import { contradictionSays, gapSays } from '#words/survey/says'

/** One survey: walk round, put down, draw, report; what follows from it beside. */
definePageMeta({ layout: 'bay', roles: ['apprentice', 'instructor', 'assessor'] })
const id = Number(useRoute().params.id)
const { call } = useApi()
const { isBusy, act } = useAct()
const role = useSession().person!.role
const survey = useKeptDocument<SurveyView>({ path: `surveys/${id}`, what: 'Survey', shape: 'withoutEmpty' })
const { view, problem, autosave, load, adopt } = survey
onMounted(load)

type Tab = 'visit' | 'checklist' | 'plan' | 'report' | 'follows' | 'marks'
const tab = ref<Tab>('checklist')
const isOwn = computed(() => view.value?.isOwn ?? false)
const tabs = computed(() => {
  const all: readonly (readonly [Tab, string, boolean])[] = [
    ['visit', 'Walk round', Boolean(view.value?.site && !view.value.site.isReal)],
    ['checklist', 'Checklist', true],
    ['plan', 'Plan', true],
    ['report', 'Report', true],
    ['follows', 'Into the design', isOwn.value && role === 'instructor'],
    ['marks', 'Marks', Boolean(view.value?.marks ?? view.value?.decisions.length)],
  ]
  return all.filter(([, , isShown]) => isShown).map(([key, name]) => [key, name] as const)
})
watch(
  () => view.value === null,
  () => view.value?.site && (tab.value = isOwn.value ? 'visit' : 'marks'),
)
const fields = computed(() => (isOwn.value ? autosave.fields : { ...view.value?.fields }))
const sheet = computed(() => readSheet(fields.value))
const gaps = computed(() => gapsOfSurvey(sheet.value))
/** Whether the routes can be designed is for the server to say: the designs are answers. */
const { data: follows } = useServer<SurveyFollows>(() =>
  view.value ? `surveys/${id}/follows?at=${autosave.savedAt.value ?? ''}` : null,
)
const against = computed(() => [...contradictionsOf(sheet.value), ...(follows.value?.tooLong ?? [])])
const lastDecision = computed(() => view.value?.decisions.at(-1))
const marks = computed(() => view.value?.marks ?? lastDecision.value?.marks ?? null)

const handIn = () =>
  act(async () => {
    const version = await autosave.flush()
    if (autosave.state.value !== 'saved')
      throw new ApiProblem(
        0,
        'offline',
        autosave.message.value || 'This could not be saved yet. Nothing is lost.',
      )
    adopt(await call<SurveyView>('POST', `surveys/${id}/hand-in`, { version }))
    ElMessage({
      type: 'success',
      message: 'Handed in. What you write from now on is for the next time.',
      showClose: true,
    })
  })
const giveOut = () =>
  saveFile(
    JSON.stringify(
      { format: 'nakshi.survey', version: 1, site: view.value!.site?.code ?? null, fields: fields.value },
      null,
      2,
    ),
    `survey-${id}.json`,
    'application/json',
  )
</script>

<template>
  <div class="page stack">
    <PageProblem v-if="problem" :problem="problem" @retry="load" />
    <div v-else-if="!view" class="skeleton" style="height: 340px" />
    <template v-else>
      <div class="row spread">
        <div>
          <h1>{{ fields.title || 'Survey' }}</h1>
          <p class="soft small">
            <template v-if="!isOwn">{{ view.person }}. </template>
            <template v-if="view.handIns.length">Handed in {{ dayTime(view.handIns.at(-1)!.at) }}</template>
            <span v-if="lastDecision" class="tag" :class="lastDecision.met ? 'met' : 'wrong'">{{
              lastDecision.met ? 'met' : 'not yet'
            }}</span>
          </p>
        </div>
        <div class="row">
          <SaveWords v-if="isOwn" :autosave="autosave" />
          <LinkButton :to="`/surveys/${id}/report`">Print the report</LinkButton>
          <el-button @click="giveOut">Save as file</el-button>
          <el-button
            v-if="isOwn && role === 'apprentice'"
            type="primary"
            :loading="isBusy"
            data-testid="hand-in"
            @click="handIn"
            >{{ view.handIns.length ? 'Hand in again' : 'Hand in' }}</el-button
          >
        </div>
      </div>
      <PartTabs v-model="tab" :parts="tabs" label="Parts of the survey">
        <span class="soft small">{{
          gaps.length === 0
            ? 'every objective is answered'
            : `${gaps.length} of ${sheet.objectives.length} objectives open`
        }}</span>
      </PartTabs>
      <LazyConflictChooser
        v-if="autosave.conflicts.value.length > 0"
        :conflicts="autosave.conflicts.value"
        :name-of="(field) => field"
        title="Somebody else changed the same thing"
        @choose="autosave.choose"
      />
      <ul v-if="against.length" class="stitched stop against" data-testid="contradictions">
        <li v-for="(one, i) in against" :key="i">{{ contradictionSays(one) }}</li>
      </ul>
      <SurveyVisit
        v-if="tab === 'visit'"
        :id="id"
        :view="view"
        :is-read-only="!isOwn"
        @seen="view = { ...view, seen: $event }"
      />
      <SurveyChecklist
        v-else-if="tab === 'checklist'"
        :fields="fields"
        :sheet="sheet"
        :is-read-only="!isOwn"
        @write="autosave.write"
      />
      <SurveyPlan
        v-else-if="tab === 'plan' && isOwn"
        :fields="fields"
        :base="view.site?.plan ?? null"
        @write="autosave.write"
      />
      <PlanDrawing
        v-else-if="tab === 'plan'"
        :image="fields['plan.image'] ?? ''"
        :plan="sheet.plan"
        :scale="scaleOf(sheet.plan)"
        :base="view.site?.plan ?? null"
      />
      <template v-else-if="tab === 'report'">
        <h2 v-if="gaps.length">Still to answer</h2>
        <ul v-if="gaps.length" class="soft small">
          <li v-for="gap in gaps" :key="gap.objective">{{ gapSays(gap) }}</li>
        </ul>
        <SurveyReportBoxes :fields="fields" :sheet="sheet" :is-read-only="!isOwn" @write="autosave.write" />
      </template>
      <SurveyFollows v-else-if="tab === 'follows'" :id="id" :view="view" :autosave="autosave" />
      <div v-else class="stack">
        <p v-if="lastDecision?.feedback" class="stitched">
          <b>{{ lastDecision.by }}:</b> {{ lastDecision.feedback }}
        </p>
        <SurveyMarks v-if="marks" :marks="marks" />
        <SurveyDecide v-if="view.marks" :id="id" :view="view" @decided="adopt" />
      </div>
    </template>
  </div>
</template>

<style scoped>
.against {
  margin: 0;
  padding-left: 32px;
}
</style>
