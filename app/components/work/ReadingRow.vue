<script setup lang="ts">
import { Lock } from '@lucide/vue'
import { parseReading } from '#core/testing/parse/parse-reading'
import { isTick, kindOf, quantityOf, type ReadingKey } from '#core/testing/kinds/kinds'
import { findingSentence } from '#words/findings/findings'
import { readingText } from '#words/testing'
import { formatQuantity } from '#core/units/format'
import { QUANTITIES } from '#core/units/quantity'

const props = defineProps<{
  reading: ReadingKey
  modelValue: string
  why: string
  locked: boolean
  missing: boolean
}>()
const emit = defineEmits<{ 'update:modelValue': [text: string]; 'update:why': [text: string] }>()

const RANGE_END = '>999'
const kind = computed(() => kindOf(props.reading))
const text = computed(() => readingText(props.reading))
const quantity = computed(() => quantityOf(props.reading))
const unit = computed(() => QUANTITIES[quantity.value].unit)
const isInsulation = computed(() => quantity.value === 'insulation')
const isLeft = computed(() => parsed.value.form === 'left')
const parsed = computed(() => parseReading(props.modelValue, kind.value))
const echo = computed(() => {
  const { value } = parsed
  if (value.form === 'unreadable') return findingSentence({ code: `unreadable.${value.problem}`, params: {} })
  const bare = props.modelValue.trim().replace(new RegExp(`\\s*${unit.value}$`), '')
  const isPlain = /^>?\s*\d+(\.\d+)?$/.test(bare)
  return value.form === 'value' && !isPlain ? `read as ${formatQuantity(value.value, quantity.value)}` : ''
})
const isBad = computed(() => parsed.value.form === 'unreadable' || props.missing)
</script>

<template>
  <div class="reading" :class="{ bad: isBad, locked }">
    <div>
      <p class="name">
        {{ text.name }} <span class="sym">{{ kind.symbol }}</span>
      </p>
      <p class="how">{{ text.how }}</p>
    </div>
    <div v-if="locked && !modelValue" class="shut"><Lock :size="18" aria-hidden="true" /> locked</div>
    <div v-else-if="isTick(reading)" class="ticks" role="group" :aria-label="text.name">
      <button
        v-for="mark in ['✓', '✗']"
        :key="mark"
        type="button"
        :disabled="locked"
        :aria-pressed="modelValue === mark"
        :aria-label="mark === '✓' ? `${text.name} correct` : `${text.name} not correct`"
        :class="{ on: modelValue === mark, cross: mark === '✗' }"
        @click="emit('update:modelValue', mark)"
      >
        {{ mark }}
      </button>
    </div>
    <div v-else class="value-box">
      <FigureBox
        :model-value="modelValue"
        :name="reading"
        :label="`${text.name}, ${unit}`"
        :unit="unit"
        :locked
        :bad="isBad"
        @update:model-value="emit('update:modelValue', $event)"
      />
      <button
        v-if="isInsulation && !locked"
        type="button"
        class="range"
        :aria-label="`${text.name}: above 999 megohms`"
        @click="emit('update:modelValue', RANGE_END)"
      >
        {{ RANGE_END }}
      </button>
    </div>
    <el-input
      v-if="isLeft"
      class="why"
      :model-value="why"
      :disabled="locked"
      :aria-label="`${text.name}, reason`"
      placeholder="Reason why it is left out"
      maxlength="200"
      @update:model-value="emit('update:why', $event)"
    />
    <span v-else class="echo" :class="{ caution: isBad }" aria-live="polite">{{
      missing && !echo ? 'still empty' : echo
    }}</span>
  </div>
</template>

<style scoped>
.reading {
  display: grid;
  grid-template-columns: minmax(210px, 400px) 290px minmax(90px, 1fr);
  gap: 4px 16px;
  align-items: center;
  padding: 9px 8px;
  border-bottom: 1px solid var(--hem);
  min-height: 66px;
}
.reading.bad {
  background: var(--madder-wash);
}
.name {
  font-weight: var(--strong);
  line-height: 1.2;
}
.how {
  font-size: 14px;
  color: var(--soft);
  line-height: 1.3;
  margin-top: 2px;
}
.value-box {
  display: flex;
  gap: 8px;
}
.range,
.ticks button {
  font: var(--strong) 17px var(--mono);
  min-width: 84px;
  min-height: 48px;
  border: 1.5px solid var(--indigo);
  border-radius: var(--ease);
  background: transparent;
  color: var(--indigo-text);
  cursor: pointer;
}
.ticks {
  display: flex;
  gap: 8px;
}
.ticks button {
  font-size: 22px;
  min-width: 92px;
}
.ticks button.on {
  background: var(--leaf);
  border-color: var(--leaf);
  color: var(--on-indigo);
}
.ticks button.on.cross {
  background: var(--madder);
  border-color: var(--madder);
}
.ticks button:disabled {
  cursor: default;
  opacity: 0.75;
}
.shut {
  color: var(--madder-text);
  display: flex;
  gap: 8px;
  align-items: center;
  font-weight: var(--strong);
}
.echo {
  font-size: 13.5px;
  color: var(--soft);
  line-height: 1.25;
}
@media (max-width: 900px) {
  .reading {
    grid-template-columns: 1fr;
  }
}
</style>
