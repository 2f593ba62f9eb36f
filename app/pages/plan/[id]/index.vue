<script setup lang="ts">
import type { SessionView } from '#schemas/planning-views'
import { costSays, dayConflictSays, planConflictSays } from '#words/planning/says'

/** One session: who is at which bay with what, in which order. */
definePageMeta({ roles: ['instructor', 'assessor', 'technician', 'administrator'] })
const route = useRoute()
const id = Number(route.params.id)
const { call } = useApi()
const { act } = useAct()
const { isBusy, act: actPlan } = useAct()
const mayPlan = ['instructor', 'assessor'].includes(useSession().person!.role)
const document = useKeptDocument<SessionView>({
  path: `planning/${id}`,
  what: 'Session',
  shape: 'withoutEmpty',
})
const { view, problem, autosave, load } = document
const tools = usePlannedSession(document)
/** From the floor: somebody is absent, the rest is planned again from this minute. */
onMounted(async () => {
  await load()
  const person = Number(route.query.absent)
  if (!(person > 0) || !view.value) return
  await actPlan(() => tools.absent(person, true))
})
const { session, conflicts, against, cost, names, state } = tools
const tab = ref<'plan' | 'tasks' | 'frame'>('plan')
const TABS = [
  ['plan', 'Plan'],
  ['tasks', 'Who does what'],
  ['frame', 'When, where, with what'],
] as const
const by = ref<'bay' | 'person'>('bay')
const daySays = (one: (typeof against.value)[number]) => dayConflictSays(one, date, names.person)
const STATE_TEXT = {
  '': '',
  first: 'A first plan stands; the best is being looked for.',
  best: 'No other plan waits noticeably less.',
  found: 'The best that was found in time; there may be a better one.',
} as const
/** Told, but nothing stands in the way. */
const notes = computed(() =>
  against.value.filter(({ code }) => ['outOfCalibration', 'cableShort'].includes(code)),
)
const said = computed(() => [
  ...against.value.filter((one) => !notes.value.includes(one)).map(daySays),
  ...conflicts.value.filter(({ code }) => code !== 'unplanned').map((one) => planConflictSays(one, names)),
])
const unplanned = computed(() => conflicts.value.filter(({ code }) => code === 'unplanned'))
async function remove() {
  const words = { yes: 'Remove it', no: 'Keep it', isGrave: true }
  if (!(await isSure('The plan goes; the work of people stays.', 'Remove this session?', words))) return
  await act(async () => {
    await call('DELETE', `planning/${id}`)
    await navigateTo('/plan')
  })
}
</script>

<template>
  <div class="page stack">
    <PageProblem v-if="problem" :problem="problem" @retry="load" />
    <div v-else-if="!view" class="skeleton" style="height: 400px" />
    <template v-else>
      <div class="row spread">
        <div>
          <h1>{{ session.title || 'Session' }}</h1>
          <p class="soft">
            {{ session.cohort
            }}<template v-if="session.day"
              >, {{ date(session.day) }}, {{ session.from }} to
              {{ names.time(session.frame.minutes) }}</template
            >
          </p>
        </div>
        <div class="row">
          <SaveWords :autosave="autosave" />
          <LinkButton :to="`/plan/${id}/print`">Print</LinkButton>
          <el-button v-if="mayPlan" text @click="remove">Remove</el-button>
          <el-button
            v-if="mayPlan"
            type="primary"
            :loading="isBusy"
            data-testid="plan-it"
            @click="actPlan(tools.plan)"
            >{{ session.placements.length ? 'Plan again' : 'Plan it' }}</el-button
          >
        </div>
      </div>
      <LazyConflictChooser
        v-if="autosave.conflicts.value.length > 0"
        :conflicts="autosave.conflicts.value"
        :name-of="(field) => field"
        title="Somebody else changed the same thing"
        @choose="autosave.choose"
      />
      <PartTabs v-model="tab" :parts="TABS" label="Parts of the session">
        <span class="soft" data-testid="plan-cost">{{ costSays(cost, names.time) }}</span>
      </PartTabs>
      <ul v-if="said.length" class="stitched stop said" data-testid="plan-conflicts">
        <li v-for="text in said" :key="text">{{ text }}</li>
      </ul>
      <p v-for="note in notes" :key="daySays(note)" class="soft small">{{ daySays(note) }}</p>
      <template v-if="tab === 'plan'">
        <SearchProgress
          v-if="state === 'first'"
          :seconds="PLANNER_LONGEST_S"
          said="Looking for a plan that waits less"
          @stop="tools.stop"
        />
        <div class="row spread">
          <p role="status" class="soft" data-testid="plan-state">{{ STATE_TEXT[state] }}</p>
          <el-radio-group v-model="by" aria-label="Rows">
            <el-radio-button value="bay">By bay</el-radio-button>
            <el-radio-button value="person">By person</el-radio-button>
          </el-radio-group>
        </div>
        <PlanBoard v-model:by="by" :tools="tools" :is-read-only="!mayPlan" />
        <p v-if="unplanned.length" class="stitched waiting" data-testid="unplanned">
          Not planned:
          <template v-for="(one, i) in unplanned" :key="one.task"
            >{{ i > 0 ? '; ' : '' }}{{ names.task(one.task) }}
            <button v-if="mayPlan" type="button" class="text-button" @click="tools.move(one.task, {})">
              Place it
            </button></template
          >
        </p>
      </template>
      <PlanTasks v-else-if="tab === 'tasks'" :tools="tools" :view="view" :inert="!mayPlan" />
      <PlanFrame
        v-else
        :tools="tools"
        :view="view"
        :fields="autosave.fields"
        :inert="!mayPlan"
        @write="autosave.write"
      />
    </template>
  </div>
</template>

<style scoped>
.said {
  margin: 0;
  padding-left: 32px;
}
</style>
