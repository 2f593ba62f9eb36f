<script setup lang="ts">
import type { Question, QuestionKind } from '#core/questions/question'
import { QUESTION_KINDS, questionProblems } from '#core/questions/question'
import { DRAWINGS, DRAWING_CODES } from '#core/questions/drawings'
import { TOPICS } from '#core/questions/topics'
import type { BankView } from '#schemas/question-views'
import {
  DRAWING_NAME,
  KIND_NAME,
  QUESTION_PROBLEM_TEXT,
  SPOT_NAME,
  TOPIC_NAME,
  VERDICT_NAME,
} from '#words/questions/labels'
import { blankQuestion, questionOfForm, formOfQuestion } from '~/utils/question-form'

/** One question as a form; lists stand one on a line. */
const { question, version, criteria } = defineProps<{
  question: Question | null
  version: number | null
  criteria: BankView['criteria']
}>()
const emit = defineEmits<{ close: []; saved: [] }>()
const { call } = useApi()
const form = reactive(formOfQuestion(question ?? blankQuestion()))
const { isBusy, act } = useAct()
const parts = computed(() => (form.picture ? DRAWINGS[form.picture].map(({ id }) => id) : []))
const kinds = QUESTION_KINDS as readonly QuestionKind[]
const spots = computed(() => DRAWINGS[form.drawing].map(({ id }) => id))

/** What keeps it from being asked, in words; said before anything is sent. */
const problems = ref<readonly string[]>([])
function problemsOf(typed: Question): string[] {
  return [
    ...(/^[A-Za-z0-9][A-Za-z0-9-]*$/.test(typed.code) ? [] : ['needs a code of letters, digits and hyphens']),
    ...(typed.text === '' ? ['has no wording yet'] : []),
    ...questionProblems(typed, spots.value).map((code) => QUESTION_PROBLEM_TEXT[code]),
  ]
}

async function save(isRetired: boolean) {
  const typed = questionOfForm(form)
  problems.value = problemsOf(typed)
  if (problems.value.length > 0) return
  await act(async () => {
    await call('PUT', 'questions', { question: typed, version, isRetired })
    emit('saved')
  })
}
</script>

<template>
  <el-dialog
    :model-value="true"
    :title="question ? `Question ${question.code}` : 'New question'"
    width="760px"
    :close-on-click-modal="false"
    :close-on-press-escape="false"
    top="4vh"
    @close="emit('close')"
  >
    <div class="form">
      <label class="field half"
        ><span>Code</span><el-input v-model="form.code" name="code" :disabled="question !== null"
      /></label>
      <label class="field half"
        ><span>Kind</span
        ><el-select v-model="form.kind" data-testid="kind"
          ><el-option v-for="kind in kinds" :key="kind" :value="kind" :label="KIND_NAME[kind]" /></el-select
      ></label>
      <label class="field"
        ><span>Question</span><el-input v-model="form.text" type="textarea" autosize name="text"
      /></label>
      <label class="field"
        ><span>In plain, short words, if the wording is not plain already</span
        ><el-input v-model="form.plain" name="plain"
      /></label>
      <template v-if="form.kind === 'spoken'">
        <label class="field"
          ><span>What is to be heard</span
          ><el-input v-model="form.model" type="textarea" autosize name="model"
        /></label>
      </template>
      <template v-else-if="form.kind === 'number'">
        <label class="field third"
          ><span>Value</span><el-input v-model="form.value" name="value" inputmode="decimal"
        /></label>
        <label class="field third"><span>Unit</span><el-input v-model="form.unit" name="unit" /></label>
        <label class="field third"
          ><span>Either way</span><el-input v-model="form.within" name="within" inputmode="decimal"
        /></label>
      </template>
      <label v-else-if="form.kind === 'choose'" class="field"
        ><span>Options, one on a line; an asterisk * in front of the right ones</span
        ><el-input v-model="form.options" type="textarea" :rows="4" name="options"
      /></label>
      <label v-else-if="form.kind === 'order'" class="field"
        ><span>Items in their right order, one on a line</span
        ><el-input v-model="form.options" type="textarea" :rows="5" name="options"
      /></label>
      <template v-else-if="form.kind === 'point'">
        <label class="field half"
          ><span>Drawing</span
          ><el-select v-model="form.drawing"
            ><el-option
              v-for="code in DRAWING_CODES"
              :key="code"
              :value="code"
              :label="DRAWING_NAME[code]" /></el-select
        ></label>
        <label class="field half"
          ><span>Right spot</span
          ><el-select v-model="form.spot"
            ><el-option v-for="spot in spots" :key="spot" :value="spot" :label="SPOT_NAME[spot]" /></el-select
        ></label>
      </template>
      <template v-else>
        <label class="field third"
          ><span>It is</span
          ><el-select v-model="form.verdict"
            ><el-option
              v-for="(name, key) in VERDICT_NAME"
              :key="key"
              :value="key"
              :label="name" /></el-select
        ></label>
        <label class="field"
          ><span>Why</span><el-input v-model="form.model" type="textarea" autosize name="model"
        /></label>
      </template>
      <label class="field"
        ><span>Also right, one on a line</span><el-input v-model="form.also" type="textarea" autosize
      /></label>
      <label class="field"
        ><span>Prompts in their order, one on a line</span
        ><el-input v-model="form.prompts" type="textarea" autosize name="prompts"
      /></label>
      <label class="field"><span>Then ask</span><el-input v-model="form.follow" /></label>
      <label class="field half"
        ><span>Topic</span
        ><el-select v-model="form.topic"
          ><el-option
            v-for="topic in TOPICS"
            :key="topic"
            :value="topic"
            :label="TOPIC_NAME[topic]" /></el-select
      ></label>
      <label class="field half"
        ><span>Level</span
        ><el-select v-model="form.level"
          ><el-option :value="1" label="1: names a thing" /><el-option
            :value="2"
            label="2: says why" /><el-option :value="3" label="3: reasons from it" /></el-select
      ></label>
      <label class="field"
        ><span>Criteria; none: those of its topic</span
        ><el-select v-model="form.criteria" multiple clearable filterable data-testid="criteria"
          ><el-option
            v-for="entry in criteria"
            :key="entry.code"
            :value="entry.code"
            :label="`${entry.code} ${entry.text}`" /></el-select
      ></label>
      <template v-if="form.kind !== 'point'">
        <label class="field half"
          ><span>Picture beside it</span
          ><el-select v-model="form.picture" data-testid="picture" @change="form.part = ''"
            ><el-option value="" label="None" /><el-option
              v-for="code in DRAWING_CODES"
              :key="code"
              :value="code"
              :label="DRAWING_NAME[code]" /></el-select
        ></label>
        <label v-if="form.picture" class="field half"
          ><span>Part that is marked</span
          ><el-select v-model="form.part" data-testid="part"
            ><el-option value="" label="None: the whole drawing" /><el-option
              v-for="spot in parts"
              :key="spot"
              :value="spot"
              :label="SPOT_NAME[spot]" /></el-select
        ></label>
      </template>
      <label class="field"><span>Source</span><el-input v-model="form.source" name="source" /></label>
      <div class="field row">
        <el-checkbox v-model="form.isKept">Kept for assessment: never in a rehearsal</el-checkbox>
        <el-checkbox v-model="form.isMyth">A myth of the trade</el-checkbox>
      </div>
    </div>
    <template #footer>
      <p v-for="problem in problems" :key="problem" class="problem" role="alert">
        The question {{ problem }}.
      </p>
      <div class="row end">
        <el-button @click="emit('close')">Back</el-button>
        <el-button v-if="question" @click="save(true)">Do not ask it any more</el-button>
        <el-button type="primary" :loading="isBusy" @click="save(false)">Save</el-button>
      </div>
    </template>
  </el-dialog>
</template>

<style scoped>
.form {
  display: grid;
  grid-template-columns: repeat(6, 1fr);
  gap: 10px 14px;
  max-height: 66vh;
  overflow: auto;
  padding-right: 6px;
}
.end {
  justify-content: flex-end;
}
.problem {
  color: var(--madder-text);
  text-align: left;
}
.field {
  grid-column: span 6;
}
.half {
  grid-column: span 3;
}
.third {
  grid-column: span 2;
}
</style>
