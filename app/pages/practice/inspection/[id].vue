<script setup lang="ts">
import { GRADES, type Grade } from '#core/inspection/items'
import { GRADE_NAME, QUESTION_TEXT } from '#words/inspection'
import type { RoundView } from '#schemas/workmanship-views'

definePageMeta({ layout: 'bay', roles: ['apprentice', 'instructor', 'assessor'] })
const id = computed(() => Number(useRoute().params.id))
const { call } = useApi()
const { data: view, problem, refresh } = useServer<RoundView>(() => `rounds/${id.value}`)
const marks = reactive(new Map<string, { grade: Grade; remark: string }>())
const answers = reactive<Record<string, string>>({})
const current = ref<string | null>(null)
const isOver = computed(() => view.value?.over != null)
const nameOf = (spot: string) => view.value!.spots.find((candidate) => candidate.id === spot)?.name ?? spot

function tap(spot: string) {
  if (isOver.value) return void (current.value = spot)
  if (!marks.has(spot)) marks.set(spot, { grade: 'potential', remark: '' })
  current.value = spot
}
function unmark(spot: string) {
  marks.delete(spot)
  current.value = null
}
const shown = computed(() => {
  const over = view.value?.over
  const kinds = new Map<string, 'found' | 'wronglyGraded' | 'missed' | 'false'>()
  if (over)
    for (const kind of ['found', 'wronglyGraded', 'missed', 'false'] as const)
      for (const spot of over.score[kind]) kinds.set(spot, kind)
  return kinds
})
const marked = computed(
  () => new Set(isOver.value ? view.value!.over!.marked.map(({ spot }) => spot) : marks.keys()),
)
const WORDS = {
  found: 'found',
  wronglyGraded: 'found, graded otherwise',
  missed: 'missed',
  false: 'nothing wrong here',
}
async function end() {
  const text = `${marks.size} marked. End the round and see what was there?`
  if (!(await isSure(text, 'End', { yes: 'End it', no: 'Look again' }))) return
  try {
    view.value = await call<RoundView>('POST', `rounds/${id.value}/end`, {
      spots: [...marks].map(([spot, { grade, remark }]) => ({ spot, grade, remark })),
      answers: { ...answers },
    })
  } catch (error) {
    showProblem(error)
  }
}
async function again() {
  const { id: next } = await call<{ id: number }>('POST', 'rounds', { scene: view.value!.scene })
  marks.clear()
  current.value = null
  for (const key of Object.keys(answers)) delete answers[key]
  await navigateTo(`/practice/inspection/${next}`)
}
</script>

<template>
  <div v-if="problem" class="page"><PageProblem :problem="problem" @retry="refresh" /></div>
  <div v-else-if="!view" class="page"><div class="skeleton" style="height: 420px" /></div>
  <div v-else class="round">
    <SceneDrawing
      :key="view.id"
      :scene="view.scene"
      :ground="view.ground"
      :spots="view.spots"
      :marked="marked"
      :shown="shown"
      :locked="isOver"
      @tap="tap"
    />
    <aside tabindex="0" aria-label="Observations">
      <template v-if="view.over">
        <h1>{{ view.over.score.percent }} %</h1>
        <p class="soft">
          {{ view.over.score.found.length }} found, {{ view.over.score.wronglyGraded.length }} graded
          otherwise, {{ view.over.score.missed.length }} missed, {{ view.over.score.false.length }} where
          nothing is wrong.
        </p>
        <article
          v-for="defect in view.over.defects"
          :key="defect.spot"
          :class="shown.get(defect.spot)"
          data-testid="debrief"
        >
          <p>
            <b>{{ defect.name }}</b>
            <span
              class="tag"
              :class="
                shown.get(defect.spot) === 'found'
                  ? 'met'
                  : shown.get(defect.spot) === 'missed'
                    ? 'stop'
                    : 'waiting'
              "
              >{{ WORDS[shown.get(defect.spot) ?? 'missed'] }}</span
            >
          </p>
          <p>{{ defect.words }}</p>
          <p class="soft small">
            {{ GRADE_NAME[defect.grade]
            }}<template v-if="view.over.marked.find(({ spot }) => spot === defect.spot)"
              >; you:
              {{ GRADE_NAME[view.over.marked.find(({ spot }) => spot === defect.spot)!.grade] }}</template
            >
          </p>
        </article>
        <article v-for="spot in view.over.score.false" :key="spot" class="false">
          <p>
            <b>{{ nameOf(spot) }}</b> <span class="tag plain">nothing wrong here</span>
          </p>
        </article>
        <article v-for="answer in view.over.answers" :key="answer.ask">
          <p>
            <b>{{ QUESTION_TEXT[answer.ask] }}</b>
          </p>
          <p>
            {{ answer.answer
            }}<span v-if="answer.given !== answer.answer" class="bad"
              >; you: {{ answer.given || 'no answer' }}</span
            >
          </p>
        </article>
        <div class="row">
          <el-button size="large" type="primary" @click="again">Another one</el-button
          ><NuxtLink to="/practice/inspection">Rounds</NuxtLink>
        </div>
      </template>
      <template v-else>
        <h1>What is not in order?</h1>
        <p class="soft">Tap it. Then say how serious it is.</p>
        <article v-for="[spot, mark] in marks" :key="spot" :class="{ on: current === spot }">
          <div class="row spread">
            <b>{{ nameOf(spot) }}</b><button type="button" class="plain" @click="unmark(spot)">
              Take back
            </button>
          </div>
          <div class="grades" role="radiogroup" :aria-label="`How serious: ${nameOf(spot)}`">
            <button
              v-for="grade in GRADES"
              :key="grade"
              type="button"
              role="radio"
              :aria-checked="mark.grade === grade"
              :class="{ on: mark.grade === grade }"
              @click="mark.grade = grade"
            >
              {{ GRADE_NAME[grade] }}
            </button>
          </div>
          <el-input
            v-model="mark.remark"
            maxlength="300"
            placeholder="The observation, in your words"
            :aria-label="`Observation, ${nameOf(spot)}`"
          />
        </article>
        <label v-for="question in view.questions" :key="question.key" class="question"
          ><b>{{ QUESTION_TEXT[question.ask] }}</b
          ><el-select
            v-model="answers[question.key]"
            size="large"
            placeholder="Choose"
            :data-testid="`question-${question.key}`"
            :aria-label="QUESTION_TEXT[question.ask]"
            ><el-option
              v-for="choice in question.choices"
              :key="choice"
              :value="choice"
              :label="choice" /></el-select
        ></label>
        <el-button size="large" type="primary" data-testid="end-round" @click="end"
          >That is all I see</el-button
        >
      </template>
    </aside>
  </div>
</template>

<style scoped>
.round {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 390px;
  flex: 1;
  min-height: 0;
}
aside {
  border-left: 1px solid var(--hem);
  background: var(--panel);
  padding: 16px 18px 28px;
  overflow: auto;
  display: flex;
  flex-direction: column;
  gap: 12px;
}
article {
  border: 1px solid var(--hem);
  border-left: 5px dotted var(--hem-strong);
  background: var(--raised);
  padding: 10px 12px;
  line-height: 1.35;
}
article.on {
  border-left: 5px solid var(--indigo);
}
article.found {
  border-left: 5px solid var(--leaf);
}
article.missed {
  border-left: 5px solid var(--madder);
}
article.wronglyGraded {
  border-left: 5px dashed var(--turmeric);
}
.grades {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 6px;
  margin: 6px 0;
}
.grades button {
  min-height: 48px;
  border: 1.5px solid var(--hem-strong);
  background: transparent;
  color: var(--ink);
  font: var(--strong) 14.5px var(--font);
  border-radius: var(--ease);
  cursor: pointer;
  line-height: 1.15;
}
.grades .on {
  background: var(--indigo);
  color: var(--on-indigo);
  border-color: var(--indigo);
}
.plain {
  all: unset;
  cursor: pointer;
  color: var(--indigo-text);
  text-decoration: underline;
  font-size: 14px;
}
.plain:focus-visible {
  outline: 2.5px solid var(--indigo);
}
.question {
  display: grid;
  gap: 4px;
}
.bad {
  color: var(--madder-text);
}
@media (max-width: 960px) {
  .round {
    grid-template-columns: 1fr;
  }
  aside {
    border-left: 0;
  }
}
</style>
