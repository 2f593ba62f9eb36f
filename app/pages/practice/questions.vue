<script setup lang="ts">
import type { Given, Rating } from '#core/questions/judge'
import { TOPICS } from '#core/questions/topics'
import type { RehearsalAnswer, RehearsalView } from '#schemas/question-views'
import { RATING_NAME, TOPIC_NAME, VERDICT_NAME } from '#words/questions/labels'

/** Rehearsal: answer, be told why, and see it again when it is about to be forgotten. Nobody's evidence. */
definePageMeta({ layout: 'bay', roles: ['apprentice'] })
const { call } = useApi()
const route = useRoute()
const wanted = ref(String(route.query.topic ?? 'all'))
const view = shallowRef<RehearsalView | null>(null)
const problem = ref<ApiProblem | null>(null)
const answer = shallowRef<RehearsalAnswer | null>(null)
const prompts = ref<readonly string[]>([])
const isPlain = ref(false)
const { isBusy, act } = useAct()
const count = ref({ right: 0, half: 0, wrong: 0 })
const typed = ref('')
const chosen = ref<number[]>([])
const ordered = ref<string[]>([])
const spot = ref('')
const aloud = useReadAloud()
const question = computed(() => view.value?.question ?? null)

async function next() {
  try {
    view.value = await call<RehearsalView>('GET', `rehearsals?topic=${encodeURIComponent(wanted.value)}`)
    problem.value = null
    answer.value = null
    prompts.value = []
    isPlain.value = false
    typed.value = ''
    chosen.value = []
    ordered.value = [...(view.value.question?.choices ?? [])]
    spot.value = ''
  } catch (error) {
    problem.value = error as ApiProblem
  }
}
watch(wanted, next)
onMounted(next)

async function give(given: Given) {
  if (!question.value || isBusy.value) return
  await act(async () => {
    answer.value = await call<RehearsalAnswer>('POST', 'rehearsals', { code: question.value!.code, given })
    if (answer.value.dueAt) count.value[answer.value.is] += 1
  })
}
function check() {
  switch (question.value!.kind) {
    case 'choose':
      return give({ kind: 'chosen', options: [...chosen.value] })
    case 'order':
      return give({ kind: 'ordered', items: [...ordered.value] })
    case 'point':
      return give({ kind: 'pointed', spot: spot.value })
    default:
      return give({ kind: 'text', text: typed.value })
  }
}
async function prompt() {
  const { code } = question.value!
  try {
    const told = await call<{ prompt: string }>(
      'GET',
      `rehearsals/prompt?code=${encodeURIComponent(code)}&n=${prompts.value.length}`,
    )
    prompts.value = [...prompts.value, told.prompt]
  } catch (error) {
    showProblem(error)
  }
}
const isToCompare = computed(
  () => question.value?.kind === 'spoken' && answer.value !== null && !answer.value.dueAt,
)
const RATINGS: readonly Rating[] = ['right', 'half', 'wrong']
</script>

<template>
  <div class="page rehearsal">
    <div class="row spread">
      <h1>Rehearse</h1>
      <el-select v-model="wanted" aria-label="What to rehearse" data-testid="wanted" class="wanted">
        <el-option value="all" label="Everything" />
        <el-option value="myths" label="Myths of the trade" />
        <el-option value="job" label="About my own jobs" />
        <el-option v-for="topic in TOPICS" :key="topic" :value="topic" :label="TOPIC_NAME[topic]" />
      </el-select>
    </div>
    <p v-if="view" class="soft small" data-testid="standing">
      {{ view.due }} due · {{ view.known }} remembered · {{ view.new }} new. Practice counts for nothing.
      <template v-if="count.right + count.half + count.wrong"
        >This time: {{ count.right }} right, {{ count.half }} half, {{ count.wrong }} not yet.</template
      >
    </p>
    <ServerProblem v-if="problem" :problem="problem" @retry="next" />
    <div v-else-if="!view" class="skeleton" style="height: 260px" />
    <div v-else-if="!question" class="empty">
      <h2>Nothing is due here</h2>
      <p>All of these come again on their day. Choose another topic.</p>
    </div>
    <section v-else class="stack" aria-label="Question">
      <p class="wording"><TermText :text="isPlain && question.plain ? question.plain : question.text" /></p>
      <DrawingShown v-if="question.picture" v-bind="question.picture" data-testid="picture" />
      <div class="row tools">
        <el-button v-if="question.plain" @click="isPlain = !isPlain">{{
          isPlain ? 'Full wording' : 'Plain wording'
        }}</el-button>
        <el-button v-if="aloud.can.value" @click="aloud.read(question.text)">Read aloud</el-button>
        <el-button v-if="!answer && prompts.length < question.prompts" @click="prompt">Help me</el-button>
      </div>
      <p v-for="text in prompts" :key="text" class="prompt">{{ text }}</p>
      <form class="stack" @submit.prevent="check">
        <div v-if="question.kind === 'verdict'" class="verdicts">
          <el-button
            v-for="(name, key) in VERDICT_NAME"
            :key="key"
            size="large"
            :disabled="answer !== null"
            :data-testid="`verdict-${key}`"
            @click="give({ kind: 'verdict', verdict: key })"
            >{{ name }}</el-button
          >
        </div>
        <el-checkbox-group
          v-else-if="question.kind === 'choose'"
          v-model="chosen"
          :disabled="answer !== null"
          class="choices"
        >
          <el-checkbox v-for="(option, i) in question.choices" :key="option" :value="i" border>{{
            option
          }}</el-checkbox>
        </el-checkbox-group>
        <OrderList v-else-if="question.kind === 'order'" v-model="ordered" :locked="answer !== null" />
        <QuestionDrawing
          v-else-if="question.kind === 'point'"
          :drawing="question.drawing!"
          :chosen="spot"
          @point="(id) => !answer && (spot = id)"
        />
        <el-input
          v-else
          v-model="typed"
          size="large"
          :type="question.kind === 'spoken' ? 'textarea' : 'text'"
          :rows="3"
          :disabled="answer !== null"
          :placeholder="
            question.kind === 'number'
              ? 'Number and unit, such as 0.4 s'
              : 'In your own words, or only think it'
          "
          :aria-label="question.kind === 'number' ? 'Number and unit' : 'Your answer'"
          name="answer"
        />
        <el-button
          v-if="!answer && question.kind !== 'verdict'"
          type="primary"
          size="large"
          native-type="submit"
          :loading="isBusy"
          >{{ question.kind === 'spoken' ? 'Compare' : 'Check' }}</el-button
        >
      </form>
      <div v-if="answer" class="told" :class="isToCompare ? 'compare' : answer.is" data-testid="told">
        <b v-if="!isToCompare" class="verdict">{{ RATING_NAME[answer.is] }}</b>
        <p v-if="answer.why"><TermText :text="answer.why" /></p>
        <p class="model"><TermText :text="answer.model" /></p>
        <p v-if="answer.also.length" class="soft small">Also right: {{ answer.also.join('; ') }}</p>
        <p class="soft small">
          {{ answer.source }}<template v-if="answer.dueAt"> · again on {{ date(answer.dueAt) }}</template>
        </p>
        <div v-if="isToCompare" class="verdicts">
          <el-button
            v-for="rating in RATINGS"
            :key="rating"
            size="large"
            :data-testid="`compared-${rating}`"
            @click="give({ kind: 'compared', is: rating })"
            >{{ { right: 'I had it', half: 'Half of it', wrong: 'Not yet' }[rating] }}</el-button
          >
        </div>
        <el-button v-else type="primary" size="large" data-testid="next-question" @click="next"
          >Next question</el-button
        >
      </div>
    </section>
  </div>
</template>

<style scoped>
.rehearsal {
  max-width: 820px;
}
.wanted {
  width: 250px;
}
.wording {
  font-size: clamp(22px, 3vw, 30px);
  line-height: 1.2;
  font-weight: var(--strong);
  color: var(--indigo-text);
}
.prompt {
  border-left: 4px solid var(--turmeric);
  padding-left: 12px;
}
.verdicts {
  display: grid;
  grid-template-columns: repeat(3, 1fr);
  gap: 10px;
}
.verdicts .el-button {
  min-height: 60px;
  margin: 0;
  font-size: 17px;
  padding: 0 6px;
}
.choices {
  display: grid;
  gap: 8px;
}
.choices .el-checkbox {
  height: auto;
  min-height: 48px;
  margin: 0;
  white-space: normal;
}
.told {
  border: 1.5px dashed var(--hem-strong);
  border-left: 6px solid var(--hem-strong);
  border-radius: var(--ease);
  padding: 12px 16px;
  background: var(--raised);
  display: grid;
  gap: 8px;
  justify-items: start;
}
.told.right {
  border-left-color: var(--leaf);
}
.told.half {
  border-left-color: var(--turmeric);
}
.told.wrong {
  border-left-color: var(--madder);
}
.verdict {
  font-size: 20px;
}
.model {
  white-space: pre-line;
}
.told .verdicts {
  width: 100%;
}
@media (max-width: 560px) {
  .wanted {
    width: 170px;
  }
}
</style>
