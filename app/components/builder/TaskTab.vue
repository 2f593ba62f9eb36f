<script setup lang="ts">
import { BOARD_STEP_KEYS, CIRCUIT_STEP_KEYS, type StepKey } from '#core/design/model/step-keys'
import { STEP_KINDS } from '#core/design/model/step-kinds'
import { WHOLE_BOARD } from '#core/exercise/exercise'
import type { Policy } from '#core/policies/policy'
import { LIST, idsIn, type ExerciseForm, type FormProblems, type HeadField } from '#core/exercise/form/fields'
import { ASK_SETS, type AskSet } from '#core/exercise/usual-asks'
import { usualMark } from '#core/assessment/marking/rubric'
import type { Framework } from '#core/assessment/outcomes/framework'
import { STEP_TEXT } from '#words/steps'
import { ASK_SET_NAME, HEAD_NAME } from '~/texts/builder'
import { KIND_NAME } from '#words/names'
import { policyWords } from '#words/policies'

/** What is asked and how it is judged: story, steps with marks, what is handed in, which criteria it evidences. */
const props = defineProps<{
  form: ExerciseForm
  problems: FormProblems
  framework: Framework | null
  policy: Policy
  applying: ReadonlySet<StepKey>
  locked: boolean
}>()
const emit = defineEmits<{ write: [field: HeadField, text: string] }>()

const asked = computed(() => new Set(idsIn(props.form.askSteps)))
const criticals = computed(() => new Set(idsIn(props.form.critical)))
const marks = computed(
  () => Object.fromEntries(idsIn(props.form.marks).map((part) => part.split('='))) as Record<string, string>,
)
const circuits = computed(() =>
  idsIn(props.form.circuits).map((id) => ({ id, name: props.form[`${id}.name`] ?? id })),
)
const groups = [
  { name: 'Of each circuit', steps: CIRCUIT_STEP_KEYS },
  { name: 'Of each board', steps: BOARD_STEP_KEYS },
]

const toggle = (field: 'askSteps' | 'critical', set: ReadonlySet<string>, step: string) =>
  emit(
    'write',
    field,
    (set.has(step) ? [...set].filter((other) => other !== step) : [...set, step]).join(LIST),
  )
function setMark(step: StepKey, text: string) {
  const rest = Object.entries(marks.value).filter(([key]) => key !== step)
  emit(
    'write',
    'marks',
    [...rest, ...(text === '' || Number(text) === usualMark(step) ? [] : [[step, text]])]
      .map(([key, mark]) => `${key}=${mark}`)
      .join(LIST),
  )
}
/** Criteria of this exercise that rest on a step. */
const evidencedBy = (step: StepKey) =>
  (props.framework?.units ?? [])
    .flatMap((unit) => unit.criteria)
    .filter(({ code, evidence }) => criteria.value.includes(code) && evidence.includes(`design.${step}`))
    .map(({ code }) => code)
const list = (field: 'criteria' | 'askCircuits') =>
  computed({
    get: () => idsIn(props.form[field]),
    set: (ids: string[]) => emit('write', field, ids.join(LIST)),
  })
const criteria = list('criteria')
const askCircuits = list('askCircuits')
</script>

<template>
  <div class="task" :inert="locked">
    <section class="head">
      <FormBox :name="HEAD_NAME.code" :problem="form.code === '' ? undefined : problems.code"
        ><el-input :model-value="form.code" name="code" @update:model-value="emit('write', 'code', $event)"
      /></FormBox>
      <FormBox :name="HEAD_NAME.title" class="title"
        ><el-input
          :model-value="form.title"
          name="title"
          @update:model-value="emit('write', 'title', $event)"
      /></FormBox>
      <FormBox :name="HEAD_NAME.kind" class="kind">
        <el-select
          :model-value="form.kind"
          :aria-label="HEAD_NAME.kind"
          data-testid="box-kind"
          @update:model-value="emit('write', 'kind', $event)"
          ><el-option v-for="(name, kind) in KIND_NAME" :key="kind" :value="kind" :label="name"
        /></el-select>
      </FormBox>
      <FormBox :name="HEAD_NAME.minutes" symbol="min" :problem="problems.minutes"
        ><el-input
          :model-value="form.minutes"
          name="minutes"
          @update:model-value="emit('write', 'minutes', $event)"
      /></FormBox>
      <FormBox :name="HEAD_NAME.scenario" wide
        ><el-input
          type="textarea"
          :autosize="{ minRows: 3, maxRows: 7 }"
          :model-value="form.scenario"
          name="scenario"
          maxlength="4000"
          @update:model-value="emit('write', 'scenario', $event)"
      /></FormBox>
      <FormBox :name="HEAD_NAME.tests" class="title" :problem="problems.tests">
        <el-select
          :model-value="form.tests"
          :empty-values="[null, undefined]"
          :aria-label="HEAD_NAME.tests"
          data-testid="box-tests"
          @update:model-value="emit('write', 'tests', $event)"
        >
          <el-option value="" label="None: the design alone is handed in" /><el-option
            :value="WHOLE_BOARD"
            label="The whole board: design, schedule of every circuit, permission, live tests"
          /><el-option
            v-for="circuit in circuits"
            :key="circuit.id"
            :value="circuit.id"
            :label="`${circuit.name}: design, dead tests, permission, live tests`"
          />
        </el-select>
      </FormBox>
      <FormBox :name="HEAD_NAME.askCircuits" class="title" :problem="problems.askCircuits">
        <el-select
          v-model="askCircuits"
          multiple
          collapse-tags
          :max-collapse-tags="2"
          :aria-label="HEAD_NAME.askCircuits"
          data-testid="box-askCircuits"
          ><el-option v-for="circuit in circuits" :key="circuit.id" :value="circuit.id" :label="circuit.name"
        /></el-select>
      </FormBox>
      <p class="wide small soft">
        Judged by: {{ policyWords(policy).join('; ') }}. The administrator sets this for the centre; an
        exercise keeps what was in force when it was set.
      </p>
      <div class="wide">
        <span class="label">Criteria it evidences</span>
        <el-checkbox-group v-model="criteria">
          <template v-for="unit in framework?.units ?? []" :key="unit.code"
            ><el-checkbox
              v-for="criterion in unit.criteria"
              :key="criterion.code"
              :value="criterion.code"
              :label="criterion.code"
              :title="criterion.text"
          /></template>
        </el-checkbox-group>
        <span v-if="problems.criteria" class="problem">{{ problems.criteria }}</span>
      </div>
    </section>
    <section class="steps">
      <div class="row spread">
        <h2>Steps asked for</h2>
        <span class="row"
          ><el-button
            v-for="(name, key) in ASK_SET_NAME"
            :key="key"
            size="small"
            @click="emit('write', 'askSteps', ASK_SETS[key as AskSet].join(LIST))"
            >{{ name }}</el-button
          ></span
        >
      </div>
      <p v-if="problems.askSteps || problems.marks" class="problem">
        {{ problems.askSteps ?? problems.marks }}
      </p>
      <template v-for="group in groups" :key="group.name">
        <h3>{{ group.name }}</h3>
        <table class="grid-table">
          <thead>
            <tr>
              <th>Asked</th>
              <th>Step</th>
              <th class="num">Marks</th>
              <th>Critical</th>
              <th>Evidences</th>
            </tr>
          </thead>
          <tbody>
            <tr
              v-for="step in group.steps"
              :key="step"
              :class="{ off: !asked.has(step), idle: !applying.has(step) }"
            >
              <td>
                <input
                  type="checkbox"
                  :checked="asked.has(step)"
                  :aria-label="`Ask for ${STEP_TEXT[step].name.toLowerCase()}`"
                  @change="toggle('askSteps', asked, step)"
                />
              </td>
              <td>
                {{ STEP_TEXT[step].name }} <span class="sym">{{ STEP_KINDS[step].symbol }}</span>
                <span v-if="asked.has(step) && !applying.has(step)" class="small soft"
                  >no circuit here has it</span
                >
              </td>
              <td class="num">
                <input
                  v-if="asked.has(step)"
                  class="mark"
                  :value="marks[step] ?? usualMark(step)"
                  :aria-label="`Marks for ${STEP_TEXT[step].name.toLowerCase()}`"
                  inputmode="numeric"
                  @change="setMark(step, ($event.target as HTMLInputElement).value.trim())"
                />
              </td>
              <td>
                <input
                  v-if="asked.has(step)"
                  type="checkbox"
                  :checked="criticals.has(step)"
                  :aria-label="`${STEP_TEXT[step].name} is critical`"
                  @change="toggle('critical', criticals, step)"
                />
              </td>
              <td class="mono small soft">{{ evidencedBy(step).join(' ') }}</td>
            </tr>
          </tbody>
        </table>
      </template>
    </section>
  </div>
</template>

<style scoped>
.task {
  display: grid;
  grid-template-columns: minmax(420px, 1fr) minmax(440px, 1fr);
  gap: 28px;
  align-items: start;
}
@media (max-width: 940px) {
  .task {
    grid-template-columns: minmax(0, 1fr);
  }
}
.head {
  display: grid;
  grid-template-columns: repeat(6, minmax(0, 1fr));
  gap: 10px 12px;
}
.title {
  grid-column: span 3;
}
.kind {
  grid-column: span 2;
}
.wide {
  grid-column: 1 / -1;
}
.label {
  font-size: 13.5px;
  font-weight: var(--strong);
}
.problem {
  color: var(--madder-text);
  font-size: 13.5px;
}
.steps {
  display: flex;
  flex-direction: column;
  gap: 8px;
}
.steps td {
  padding: 3px 8px;
}
.off {
  color: var(--soft);
}
.idle td:nth-child(2) {
  color: var(--soft);
}
.mark {
  width: 48px;
  text-align: right;
  font: var(--strong) 14px var(--mono);
  border: 1px solid var(--hem-strong);
  background: var(--raised);
  color: var(--ink);
  border-radius: 3px;
  height: 26px;
  padding: 0 6px;
}
input[type='checkbox'] {
  width: 18px;
  height: 18px;
  accent-color: var(--indigo);
}
@media (max-width: 1000px) {
  .task {
    grid-template-columns: 1fr;
  }
}
</style>
