<script setup lang="ts">
import type { AskedOutcome } from '#core/questions/outcome'
import type { Reason } from '#core/questions/choose'
import type { Question, QuestionKind } from '#core/questions/question'
import { MOMENTS } from '#core/questions/topics'
import { MOMENT_NAME } from '#words/questions/labels'

/** At the bay: one question at a time, two taps, also without a network. */
definePageMeta({ layout: 'bay', roles: ['instructor', 'assessor'] })
const id = Number(useRoute().params.id)
const round = useAsking(id)
const { view } = round
const at = ref('')
/** Skipped for now; they come back when everything else has been asked. */
const skipped = ref<readonly string[]>([])
const open = computed(() => {
  const waiting = round.offered.value.filter(({ question }) => !skipped.value.includes(question.code))
  return waiting.length > 0 ? waiting : round.offered.value
})
const current = computed(() => open.value.find(({ question }) => question.code === at.value) ?? open.value[0])
const own = ref('')
const last = ref<{ readonly token: string; readonly words: string } | null>(null)

const REASON: Readonly<Record<Reason, string>> = {
  ownError: 'own slip',
  due: 'due again',
  criterion: 'criterion open',
  thisJob: 'this job',
  whatIf: 'what would happen if',
  moment: 'fits now',
}
const OUTCOME: Readonly<Record<AskedOutcome, string>> = {
  unaided: 'unaided',
  prompted: 'with a prompt',
  notYet: 'not yet',
}
const KIND: Readonly<Record<QuestionKind, string>> = {
  spoken: '',
  number: 'a number',
  choose: 'choose',
  order: 'in order',
  point: 'point',
  verdict: 'true or false',
}

function done(outcome: AskedOutcome, prompt: string, remark: string) {
  const { question } = current.value!
  last.value = {
    token: round.putDown(question, outcome, { prompt, remark }),
    words: `${question.text} — ${OUTCOME[outcome]}`,
  }
  at.value = ''
}
function writeOwn(outcome: AskedOutcome) {
  const text = own.value.trim()
  if (!text) return
  const { topic } = current.value?.question ?? ({ topic: 'principles' } as Pick<Question, 'topic'>)
  round.putDown(
    {
      code: `own-${text
        .toLowerCase()
        .replace(/[^a-z0-9]+/g, '-')
        .slice(0, 50)}`,
      text,
      topic,
    },
    outcome,
  )
  own.value = ''
}
onMounted(round.start)
</script>

<template>
  <div v-if="round.problem.value" class="page">
    <PageProblem :problem="round.problem.value" @retry="round.start" />
  </div>
  <div v-else-if="!view" class="page"><div class="skeleton" style="height: 300px" /></div>
  <div v-else class="ask">
    <header class="row spread">
      <div>
        <h1>{{ view.attempt.name }}</h1>
        <p class="soft">Bay {{ view.attempt.bay }} · {{ view.attempt.code }}, {{ view.attempt.title }}</p>
      </div>
      <SaveWords :autosave="round.autosave" />
    </header>
    <nav class="moments" aria-label="Moment">
      <button
        v-for="moment in MOMENTS"
        :key="moment"
        type="button"
        :class="{ on: round.moment.value === moment }"
        :aria-pressed="round.moment.value === moment"
        @click="round.moment.value = moment"
      >
        {{ MOMENT_NAME[moment] }}
      </button>
    </nav>
    <div class="columns">
      <section class="main" aria-label="Question">
        <QuestionCard
          v-if="current"
          :question="current.question"
          @done="done"
          @skip="skipped = [...skipped, current!.question.code]"
        />
        <div v-else class="empty">
          <h2>Nothing fits this moment any more</h2>
          <p>Choose another moment, go to the next bay, or write one on the spot.</p>
        </div>
        <p v-if="last" class="last" data-testid="last-asked">
          Put down: {{ last.words }}
          <el-button text size="small" @click="(round.takeBack(last.token), (last = null))">Undo</el-button>
        </p>
        <nav class="next-bay" aria-label="Next bay">
          <h2>Next bay</h2>
          <div class="next">
            <NuxtLink
              v-for="other in view.others"
              :key="other.id"
              :to="`/ask/${other.id}`"
              class="bay-link"
              :data-testid="`bay-${other.bay}`"
              ><b class="mono">{{ other.bay }}</b> {{ other.name }}
              <span class="soft small">{{ other.asked || 'not' }} asked</span></NuxtLink
            >
          </div>
        </nav>
      </section>
      <aside aria-label="Questions that fit">
        <h2>Fits now</h2>
        <ul class="offers">
          <li v-for="{ question, reason } in round.offered.value" :key="question.code">
            <button
              type="button"
              :class="{ on: question.code === current?.question.code }"
              :data-testid="`offer-${reason}`"
              @click="at = question.code"
            >
              {{ question.text }}
              <span class="soft small">{{
                [REASON[reason], KIND[question.expected.kind]].filter(Boolean).join(' · ')
              }}</span>
            </button>
          </li>
        </ul>
        <form class="own" @submit.prevent="writeOwn('unaided')">
          <label class="field"
            ><span>Or your own question</span><el-input v-model="own" name="own-question" maxlength="300"
          /></label>
          <div v-if="own.trim()" class="row">
            <el-button native-type="submit">Unaided</el-button>
            <el-button @click="writeOwn('prompted')">With a prompt</el-button>
            <el-button @click="writeOwn('notYet')">Not yet</el-button>
          </div>
        </form>
        <h2>Asked at this job</h2>
        <p v-if="round.asked.value.length === 0" class="soft small">Nothing yet.</p>
        <ul class="asked">
          <li v-for="entry in round.asked.value" :key="entry.token" :class="{ undone: entry.isUndone }">
            <span>{{ entry.wording }}</span>
            <span class="soft small"
              >{{ entry.isUndone ? 'taken back' : OUTCOME[entry.outcome] }} ·
              {{ clock(entry.askedAt).slice(0, 5) }}</span
            >
          </li>
        </ul>
      </aside>
    </div>
  </div>
</template>

<style scoped>
.ask {
  padding: 14px 24px 24px;
  display: grid;
  gap: 12px;
  align-content: start;
}
.moments {
  display: flex;
  flex-wrap: wrap;
  gap: 4px;
  border-bottom: 1.5px dashed var(--hem-strong);
}
.moments button {
  all: unset;
  cursor: pointer;
  padding: 10px 12px;
  font-weight: var(--strong);
  border-bottom: 3px solid transparent;
}
.moments button.on {
  border-color: var(--turmeric);
  color: var(--indigo-text);
}
.moments button:focus-visible,
.offers button:focus-visible {
  outline: 3px solid var(--turmeric);
}
.columns {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 360px;
  gap: 28px;
}
aside {
  border-left: 1.5px dashed var(--hem-strong);
  padding-left: 20px;
  display: grid;
  gap: 8px;
  align-content: start;
}
aside h2 {
  font-size: 17px;
  margin-top: 6px;
}
.offers,
.asked {
  list-style: none;
  margin: 0;
  padding: 0;
  display: grid;
  gap: 4px;
}
.offers button {
  all: unset;
  cursor: pointer;
  display: grid;
  gap: 2px;
  padding: 8px 10px;
  border-left: 4px solid transparent;
  width: 100%;
  box-sizing: border-box;
}
.offers button.on {
  border-color: var(--turmeric);
  background: var(--raised);
}
.asked li {
  display: grid;
  border-bottom: 1px solid var(--hem);
  padding: 4px 0;
  font-size: 15px;
}
.undone span:first-child {
  text-decoration: line-through;
}
.own {
  display: grid;
  gap: 6px;
}
.next {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
}
.next-bay {
  margin-top: 26px;
  display: grid;
  gap: 6px;
}
.next-bay h2 {
  font-size: 17px;
}
.bay-link {
  border: 1px solid var(--hem-strong);
  border-radius: var(--ease);
  padding: 10px 12px;
  min-height: 44px;
}
.last {
  margin-top: 14px;
  color: var(--soft);
}
@media (max-width: 900px) {
  .columns {
    grid-template-columns: 1fr;
  }
  aside {
    border-left: 0;
    padding-left: 0;
  }
}
</style>
