<script setup lang="ts">
import type { AskedOutcome } from '#core/questions/outcome'
import type { Question } from '#core/questions/question'
import { answerWords } from '#words/questions/labels'

/** One question, large, as an assessor asks it; how it went is one tap. */
const { question } = defineProps<{ question: Question }>()
const emit = defineEmits<{ done: [outcome: AskedOutcome, prompt: string, remark: string]; skip: [] }>()
const aloud = useReadAloud()
const isPlain = ref(false)
const isAnswerShown = ref(false)
/** The prompts given so far; the last one counts. */
const given = ref(0)
const REMARKS = [
  'put it right themselves',
  'pointed instead of naming',
  'in simple words',
  'took time',
] as const
const remarks = ref<string[]>([])
const written = ref('')
watch(
  () => question.code,
  () => {
    isPlain.value = false
    isAnswerShown.value = false
    given.value = 0
    remarks.value = []
    written.value = ''
  },
)
const text = computed(() => (isPlain.value && question.plain ? question.plain : question.text))
const prompt = computed(() => question.prompts[given.value - 1] ?? '')
const answer = computed(() => answerWords(question.expected))
const toggle = (chip: string) =>
  (remarks.value = remarks.value.includes(chip)
    ? remarks.value.filter((one) => one !== chip)
    : [...remarks.value, chip])
const remark = computed(() => [...remarks.value, written.value.trim()].filter(Boolean).join('; '))
const done = (outcome: AskedOutcome, helped: string) => emit('done', outcome, helped, remark.value)
const options = computed(() => (question.expected.kind === 'choose' ? question.expected.options : []))
</script>

<template>
  <article class="card" data-testid="question">
    <p class="wording">{{ text }}</p>
    <ul v-if="options.length" class="options">
      <li v-for="option in options" :key="option">{{ option }}</li>
    </ul>
    <QuestionDrawing v-if="question.expected.kind === 'point'" :drawing="question.expected.drawing" />
    <DrawingShown v-else-if="question.picture" v-bind="question.picture" data-testid="picture" />
    <div class="row tools">
      <el-button v-if="question.plain" :aria-pressed="isPlain" @click="isPlain = !isPlain">{{
        isPlain ? 'Full wording' : 'Plain wording'
      }}</el-button>
      <el-button v-if="aloud.can.value" @click="aloud.read(text)">Read aloud</el-button>
      <el-button v-if="given < question.prompts.length" data-testid="give-prompt" @click="given += 1">{{
        given === 0 ? 'Give a prompt' : 'Next prompt'
      }}</el-button>
      <el-button data-testid="show-answer" @click="isAnswerShown = !isAnswerShown">{{
        isAnswerShown ? 'Hide the answer' : 'Answer'
      }}</el-button>
      <el-button text @click="emit('skip')">Skip</el-button>
    </div>
    <p v-if="prompt" class="prompt">
      <span class="soft small">Prompt {{ given }}</span> {{ prompt }}
    </p>
    <div v-if="isAnswerShown" class="answer" data-testid="answer">
      <PlayedAnswer v-if="question.code.startsWith('job-if-')" :text="answer" />
      <p v-else class="model"><TermText :text="answer" /></p>
      <p v-if="question.also.length" class="soft small">Also right: {{ question.also.join('; ') }}</p>
      <p v-if="question.follow" class="soft small">Then: {{ question.follow }}</p>
      <p class="soft small">{{ question.source }}</p>
    </div>
    <div class="row remarks">
      <button
        v-for="chip in REMARKS"
        :key="chip"
        type="button"
        class="chip"
        :aria-pressed="remarks.includes(chip)"
        @click="toggle(chip)"
      >
        {{ chip }}
      </button>
      <el-input v-model="written" placeholder="Remark" aria-label="Remark" name="remark" maxlength="300" />
    </div>
    <div class="outcomes">
      <el-button type="primary" size="large" data-testid="unaided" @click="done('unaided', '')"
        >Unaided</el-button
      >
      <el-button
        size="large"
        data-testid="prompted"
        @click="done('prompted', prompt || 'a prompt of the assessor’s own')"
        >With a prompt</el-button
      >
      <el-button size="large" data-testid="not-yet" @click="done('notYet', prompt)">Not yet</el-button>
    </div>
  </article>
</template>

<style scoped>
.card {
  display: grid;
  gap: 16px;
}
.wording {
  font-size: clamp(26px, 3.4vw, 38px);
  line-height: 1.18;
  font-weight: var(--heavy);
  color: var(--indigo-text);
  max-width: 26em;
}
.options {
  font-size: 20px;
  columns: 2;
  padding-left: 20px;
}
.tools {
  flex-wrap: wrap;
  gap: 8px;
}
.tools .el-button + .el-button {
  margin-left: 0;
}
.prompt {
  font-size: 20px;
  border-left: 4px solid var(--turmeric);
  padding-left: 12px;
}
.answer {
  border: 1.5px dashed var(--hem-strong);
  border-radius: var(--ease);
  padding: 12px 16px;
  background: var(--raised);
  max-height: 34vh;
  overflow: auto;
}
.model {
  white-space: pre-line;
  font-size: 18px;
}
.remarks {
  flex-wrap: wrap;
  gap: 6px;
}
.chip {
  min-height: 40px;
  padding: 0 12px;
  border: 1.5px dashed var(--hem-strong);
  border-radius: var(--ease);
  background: var(--panel);
  color: var(--ink);
  font: inherit;
  cursor: pointer;
}
.chip[aria-pressed='true'] {
  border: 2px solid var(--turmeric);
  background: var(--turmeric-wash);
  color: var(--turmeric-text);
}
.remarks .el-input {
  width: 220px;
}
.outcomes {
  display: grid;
  grid-template-columns: repeat(3, 1fr);
  gap: 12px;
}
.outcomes .el-button {
  min-height: 68px;
  font-size: 19px;
  margin: 0;
}
@media (max-width: 640px) {
  .outcomes,
  .options {
    grid-template-columns: 1fr;
    columns: 1;
  }
}
</style>
