<script setup lang="ts">
import type { GroupPicture, PictureSheet } from '#schemas/picture-views'
import { RULE_TEXT } from '#words/isolation-rules'
import { TOPIC_NAME } from '#words/questions/labels'
import { learntSays } from '#words/planning/says'

/** What a group does over the term: what it gets wrong, whether teaching changed that, who is where, what drifts. */
definePageMeta({ roles: ['instructor', 'assessor', 'verifier'] })
const { data: cohorts } = useCohorts()
const cohort = ref('')
watch(cohorts, (all) => (cohort.value ||= all?.[0] ?? ''), { immediate: true })
const SPANS = { 8: '8 weeks', 26: 'half a year', 104: 'two years', 260: 'five years' } as const
const span = ref<keyof typeof SPANS>(26)
const since = computed(() => new Date(Date.now() - span.value * 7 * 86_400_000).toISOString().slice(0, 10))
const { data, problem, refresh } = useServer<GroupPicture>(() =>
  cohort.value ? `picture?cohort=${encodeURIComponent(cohort.value)}&since=${since.value}` : null,
)
const mayTeach = useSession().person!.role !== 'verifier'
interface Line {
  readonly key: string
  readonly to: string
  readonly text: string
  readonly day: string
}
const open = ref<{ title: string; lines: readonly Line[] } | null>(null)
const teaching = ref<string | null>(null)
const show = (title: string, sheets: readonly PictureSheet[]) =>
  (open.value = {
    title,
    lines: sheets.map((sheet) => ({
      key: String(sheet.attempt),
      to: `/marking/${sheet.attempt}`,
      text: `${nameOf(sheet.person)}, ${codeOf(sheet)}`,
      day: sheet.day,
    })),
  })
const showBroken = (rule: string, title: string) =>
  (open.value = {
    title,
    lines: (data.value?.brokenIn ?? [])
      .filter((one) => one.rule === rule)
      .map(({ observation, person, day }) => ({
        key: String(observation),
        to: `/isolation/${observation}`,
        text: nameOf(person),
        day,
      })),
  })
const showHelped = (topic: string, title: string) =>
  (open.value = {
    title,
    lines: (data.value?.helpedWith ?? [])
      .filter((one) => one.topic === topic)
      .map(({ person, attempt, wording, day }, i) => ({
        key: String(i),
        to: attempt === null ? `/talk/${person}` : `/marking/${attempt}`,
        text: `${nameOf(person)}: ${wording}`,
        day,
      })),
  })
const showExercise = (id: number) =>
  show(exerciseOf(id)?.title ?? '', data.value?.sheets.filter(({ exercise }) => exercise === id) ?? [])
/** Sheets that were measured at a bay, or with an instrument. */
const showOf = (of: string) =>
  show(of, data.value?.sheets.filter(({ bay, instrument }) => `Bay ${bay}` === of || instrument === of) ?? [])
const nameOf = (person: number) => data.value?.people.find(({ id }) => id === person)?.name ?? ''
const exerciseOf = (id: number) => data.value?.exercises.find((one) => one.id === id)
const codeOf = ({ exercise }: PictureSheet) => exerciseOf(exercise)?.code ?? ''
const broken = computed(() => data.value?.isolation.filter((rule) => rule.broken > 0) ?? [])
const topics = computed(() =>
  [...(data.value?.questions ?? [])].sort((a, b) => a.unaided / a.asked - b.unaided / b.asked),
)
async function taught() {
  teaching.value = null
  await refresh()
}
</script>

<template>
  <div class="page stack">
    <div class="row spread">
      <div>
        <h1>Group trends</h1>
        <p class="soft">What a group gets wrong, whether a lesson changed it, who is on course.</p>
      </div>
      <div class="row">
        <el-select v-model="cohort" aria-label="Group" data-testid="picture-cohort" style="width: 200px"
          ><el-option v-for="name in cohorts ?? []" :key="name" :value="name" :label="name"
        /></el-select>
        <el-select v-model="span" aria-label="How far back" style="width: 140px"
          ><el-option v-for="(text, weeks) in SPANS" :key="weeks" :value="Number(weeks)" :label="text"
        /></el-select>
      </div>
    </div>
    <ServerProblem v-if="problem" :problem="problem" @retry="refresh" />
    <div v-else-if="!data" class="skeleton" style="height: 400px" />
    <template v-else>
      <SlipWeeks :picture="data" @sheets="show" @starter="mayTeach && (teaching = $event)" />
      <OutcomeMatrix :picture="data" />
      <div class="two">
        <DriftPlot :rows="data.bays" head="Bays" @pick="showOf" />
        <DriftPlot :rows="data.instruments" head="Instruments" @pick="showOf" />
      </div>
      <div class="two">
        <section class="stack">
          <h2>Isolation</h2>
          <p v-if="broken.length === 0" class="soft small">
            No rule was broken in an observed isolation since then.
          </p>
          <table v-else class="grid-table">
            <tbody>
              <tr v-for="rule in broken" :key="rule.rule">
                <td>
                  <button
                    type="button"
                    class="text-button"
                    @click="showBroken(rule.rule, RULE_TEXT[rule.rule]?.name ?? rule.rule)"
                  >
                    {{ RULE_TEXT[rule.rule]?.name ?? rule.rule }}
                  </button>
                </td>
                <td class="num">broken in {{ rule.broken }} of {{ rule.of }}</td>
              </tr>
            </tbody>
          </table>
        </section>
        <section class="stack">
          <h2>Questions</h2>
          <p v-if="topics.length === 0" class="soft small">Nothing was asked since then.</p>
          <table v-else class="grid-table">
            <tbody>
              <tr v-for="one in topics" :key="one.topic">
                <td>
                  <button
                    type="button"
                    class="text-button"
                    @click="showHelped(one.topic, `Not without help: ${TOPIC_NAME[one.topic]}`)"
                  >
                    {{ TOPIC_NAME[one.topic] }}
                  </button>
                </td>
                <td class="num">{{ one.unaided }} of {{ one.asked }} without help</td>
              </tr>
            </tbody>
          </table>
        </section>
      </div>
      <section class="stack">
        <h2>Time on stage</h2>
        <p v-for="one in data.times" :key="one.exercise">
          <button type="button" class="text-button" @click="showExercise(one.exercise)">
            {{ exerciseOf(one.exercise)?.code }} {{ exerciseOf(one.exercise)?.title }}</button
          >:
          <span class="soft">{{ learntSays(one.stages) }}</span>
        </p>
      </section>
    </template>
    <el-drawer :model-value="open !== null" :title="open?.title" size="420px" @close="open = null">
      <ul class="list">
        <li v-for="line in open?.lines ?? []" :key="line.key">
          <NuxtLink :to="line.to">{{ line.text }}</NuxtLink>
          <span class="soft small"> {{ date(line.day) }}</span>
        </li>
        <li v-if="open?.lines.length === 0" class="soft">Nothing to look at since then.</li>
      </ul>
    </el-drawer>
    <TeachSlip v-if="teaching" :kind="teaching" :cohort="cohort" @done="taught" @close="teaching = null" />
  </div>
</template>

<style scoped>
.two {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 14px 34px;
  align-items: start;
}
.list {
  list-style: none;
  padding: 0;
  margin: 0;
}
.list li {
  padding: 8px 0;
  border-bottom: 1px solid var(--hem);
}
@media (max-width: 1000px) {
  .two {
    grid-template-columns: 1fr;
  }
}
</style>
