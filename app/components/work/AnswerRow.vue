<script setup lang="ts">
import { readAnswer } from '#core/assessment/marking/answer'
import { STEP_KINDS } from '#core/design/model/step-kinds'
import type { Choice } from '#core/design/model/step-kinds'
import type { NodeKey, StepKey } from '#core/design/model/step-keys'
import { TERM_OF_STEP } from '#words/glossary/of-step'
import { STEP_TEXT } from '#words/steps'
import { findingSentence } from '#words/findings/findings'
import { formatQuantity } from '#core/units/format'
import { QUANTITIES } from '#core/units/quantity'

/** One step of a design. It asks for its own answer, so that a key typed here redraws no other. */
const props = defineProps<{
  node: NodeKey
  step: StepKey
  choices?: readonly Choice[]
  answer: (node: NodeKey) => string
  locked: boolean
  missing: boolean
}>()
const emit = defineEmits<{ write: [text: string] }>()
const typed = computed(() => props.answer(props.node))

const text = computed(() => STEP_TEXT[props.step])
const kind = computed(() => STEP_KINDS[props.step])
const unit = computed(() => QUANTITIES[kind.value.quantity].unit)
const parsed = computed(() => readAnswer(props.step, typed.value))
/** The choice that was made, however it was written. */
const chosen = computed(() => {
  const { value: number } = parsed
  return number.ok ? props.choices?.find(({ value }) => value === number.value)?.text : undefined
})
const showsHelp = ref(false)
const id = useId()

/** Says how a value with another prefix or a comma was understood, and why it could not be. */
const echo = computed(() => {
  const { value: result } = parsed
  if (!result.ok)
    return result.problem === 'empty'
      ? ''
      : findingSentence({ code: `unreadable.${result.problem}`, params: {} })
  const bare = typed.value.trim().replace(new RegExp(`\\s*${unit.value}$`), '')
  const isPlain = /^\d+(\.\d+)?$/.test(bare)
  return isPlain || props.choices ? '' : `read as ${formatQuantity(result.value, kind.value.quantity)}`
})
const isBad = computed(() => (!parsed.value.ok && parsed.value.problem !== 'empty') || props.missing)
</script>

<template>
  <div class="answer" :class="{ bad: isBad }">
    <button
      type="button"
      class="question"
      :aria-expanded="showsHelp"
      :aria-controls="`${id}-help`"
      @click="showsHelp = !showsHelp"
    >
      <span class="name"
        >{{ text.name }} <span class="sym">{{ kind.symbol }}</span></span
      >
      <span class="ask">{{ text.ask }}</span>
    </button>
    <el-radio-group
      v-if="choices"
      class="choices"
      :model-value="chosen"
      :disabled="locked"
      size="large"
      :aria-label="text.name"
      @update:model-value="emit('write', String($event))"
    >
      <el-radio-button v-for="choice in choices" :key="choice.text" :value="choice.text">{{
        choice.text
      }}</el-radio-button>
    </el-radio-group>
    <FigureBox
      v-else
      :model-value="typed"
      :name="node"
      :label="`${text.name}, ${unit || 'no unit'}`"
      :unit="unit"
      :locked
      :bad="isBad"
      @update:model-value="emit('write', $event)"
    />
    <span class="echo" :class="{ caution: isBad }" aria-live="polite">{{
      missing && !echo ? 'still empty' : echo
    }}</span>
    <p v-if="showsHelp" :id="`${id}-help`" class="help">
      {{ text.help }}
      <TermWord v-if="TERM_OF_STEP[step]" :term="TERM_OF_STEP[step]!" />
    </p>
  </div>
</template>

<style scoped>
.answer {
  display: grid;
  grid-template-columns: minmax(190px, 340px) 220px minmax(110px, 1fr);
  gap: 2px 16px;
  align-items: center;
  padding: 6px 8px;
  border-bottom: 1px solid var(--hem);
  scroll-margin: 80px;
}
.answer.bad {
  background: var(--madder-wash);
}
.question {
  all: unset;
  cursor: pointer;
  min-height: 48px;
  display: flex;
  flex-direction: column;
  justify-content: center;
  border-radius: var(--ease);
}
.question:focus-visible {
  outline: 2.5px solid var(--indigo);
}
.name {
  font-weight: var(--strong);
  line-height: 1.2;
  text-decoration: underline dotted var(--hem-strong);
  text-underline-offset: 4px;
}
.ask {
  font-size: 14px;
  color: var(--soft);
}
.choices {
  grid-column: 2 / 4;
  --el-component-size-large: 48px;
}
.choices :deep(.el-radio-button__inner) {
  min-height: 48px;
  padding: 15px 16px;
  font-weight: var(--strong);
}
.choices {
  flex-wrap: wrap;
}
.echo {
  font-size: 13.5px;
  color: var(--soft);
  line-height: 1.25;
}
.help {
  grid-column: 1 / -1;
  padding: 2px 0 8px;
  max-width: 64ch;
}
@media (max-width: 900px) {
  .answer {
    grid-template-columns: 1fr 200px;
  }
  .echo {
    grid-column: 2;
  }
  .choices {
    grid-column: 1 / -1;
  }
}
</style>
