<script setup lang="ts">
import { parseReading } from '#core/testing/parse/parse-reading'
import { isTick, kindOf, quantityOf } from '#core/testing/kinds/kinds'
import { whyKey } from '#core/testing/readings'
import { findingSentence } from '#words/findings/findings'
import { readingText } from '#words/testing'
import { formatNumber, formatQuantity } from '#core/units/format'
import { QUANTITIES } from '#core/units/quantity'

/** The one large box of a test: a tick or a number, what it was read as, and the reason where it was left out. */
const props = defineProps<{
  testKey: string
  read: (key: string) => string
  locked: boolean
  isMissing: boolean
}>()
const emit = defineEmits<{ write: [key: string, text: string]; next: [] }>()

const kind = kindOf(props.testKey)
const quantity = quantityOf(props.testKey)
const { unit } = QUANTITIES[quantity]
const typed = computed(() => props.read(props.testKey))
const parsed = computed(() => parseReading(typed.value, kind))
/** What stands on the display where running off the range is a good reading. */
const ends = (() => {
  const { entry } = kind
  const isGood = entry.form === 'number' && (entry.over === 'rangeEnd' || entry.over === 'wanted')
  return isGood && entry.end !== undefined ? [`>${formatNumber(entry.end, entry.quantity)}`] : []
})()
const echo = computed(() => {
  const { value } = parsed
  if (value.form === 'unreadable') return findingSentence({ code: `unreadable.${value.problem}`, params: {} })
  if (value.form === 'left') return 'Left out. Say why.'
  if ('value' in value)
    return `read as ${value.form === 'over' ? '> ' : ''}${formatQuantity(value.value, quantity)}`
  return props.isMissing ? 'still empty' : ''
})
const box = ref<{ focus: () => void }>()
const write = (text: string) => emit('write', props.testKey, text)
defineExpose({ focus: () => box.value?.focus() })
</script>

<template>
  <div v-if="isTick(testKey)" class="entry" role="group" :aria-label="readingText(testKey).name">
    <button
      v-for="mark in ['✓', '✗']"
      :key="mark"
      type="button"
      class="big"
      :disabled="locked"
      :class="{ on: typed === mark, cross: mark === '✗' }"
      :aria-pressed="typed === mark"
      :aria-label="mark === '✓' ? 'Correct' : 'Not correct'"
      @click="write(mark)"
    >
      {{ mark }}
    </button>
    <button type="button" class="small-end" :disabled="locked" @click="write('LIM')">LIM</button>
  </div>
  <div v-else class="entry">
    <el-input
      ref="box"
      :model-value="typed"
      class="value"
      :disabled="locked"
      :name="testKey"
      :aria-label="`${readingText(testKey).name}, ${unit}`"
      autocomplete="off"
      spellcheck="false"
      maxlength="60"
      @update:model-value="write"
      @keydown.enter.prevent="emit('next')"
      ><template #suffix
        ><span class="unit mono">{{ unit }}</span></template
      ></el-input
    >
    <button
      v-for="end in ends"
      :key="end"
      type="button"
      class="small-end"
      :disabled="locked"
      @click="write(end)"
    >
      {{ end }}
    </button>
    <button type="button" class="small-end" :disabled="locked" @click="write('LIM')">LIM</button>
  </div>
  <p
    class="echo"
    :class="{ warn: parsed.form === 'unreadable' || parsed.form === 'left' }"
    aria-live="polite"
  >
    {{ echo || ' ' }}
  </p>
  <el-input
    v-if="parsed.form === 'left'"
    :model-value="read(whyKey(testKey))"
    :name="whyKey(testKey)"
    :disabled="locked"
    size="large"
    maxlength="200"
    placeholder="Why it could not be made"
    aria-label="Reason"
    @update:model-value="emit('write', whyKey(testKey), $event)"
  />
</template>

<style scoped>
.entry {
  display: flex;
  gap: 10px;
  align-items: stretch;
  flex-wrap: wrap;
}
.value {
  --el-component-size: 64px;
  height: 64px;
  flex: 1 1 200px;
}
.value :deep(input) {
  font: var(--heavy) 30px var(--mono);
  height: 62px;
}
.unit {
  font-size: 20px;
  color: var(--soft);
}
.big,
.small-end {
  min-height: 64px;
  min-width: 104px;
  border: 1.5px solid var(--indigo);
  border-radius: var(--ease);
  background: transparent;
  color: var(--indigo-text);
  font: var(--heavy) 28px var(--mono);
  cursor: pointer;
}
.small-end {
  font-size: 18px;
  min-width: 84px;
}
.big.on {
  background: var(--leaf);
  border-color: var(--leaf);
  color: var(--on-indigo);
}
.big.on.cross {
  background: var(--madder);
  border-color: var(--madder);
}
.echo {
  min-height: 22px;
  color: var(--soft);
}
.warn {
  color: var(--madder-text);
  font-weight: var(--strong);
}
</style>
