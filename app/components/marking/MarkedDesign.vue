<script setup lang="ts">
import { STEP_KINDS } from '#core/design/step-kinds'
import type { StepMark } from '#core/marking/mark-design'
import type { Override } from '#core/marking/proposal'
import type { EvidenceKey } from '#core/outcomes/framework'
import { STEP_TEXT } from '#core/texts/steps'
import { VERDICT_WORDS, becauseOf, overrideOf, stepValue, theirs } from '~/texts/marks'

const props = defineProps<{ marks: readonly StepMark[]; overrides: readonly Override[]; selected?: string; mine?: boolean }>()
const emit = defineEmits<{ pick: [item: EvidenceKey] }>()

const rows = computed(() => props.marks.map((mark) => {
  const key: EvidenceKey = `design.${mark.step}`
  const own = overrideOf(key, props.overrides)
  const isCritical = !own && mark.findings.some((finding) => finding.seriousness === 'critical')
  return { mark, key, own, isCritical, verdict: own?.verdict ?? mark.verdict }
}))
</script>

<template>
  <section aria-label="Design">
    <div class="line head">
      <span /><span>Design step</span><span>{{ mine ? 'Yours' : 'Theirs' }}</span><span>Worked</span><span>{{ mine ? 'Marked' : 'Proposed' }}</span><span>Because</span>
    </div>
    <div
      v-for="{ mark, key, own, isCritical, verdict } in rows" :key="key" class="line" :class="{ selected: selected === key }" :data-item="key" :data-verdict="verdict"
      @click="emit('pick', key)"
    >
      <VerdictEdge :verdict="verdict" />
      <span class="name">{{ STEP_TEXT[mark.step].name }} <span class="sym">{{ STEP_KINDS[mark.step].symbol }}</span></span>
      <span class="theirs mono">{{ theirs(mark) }}</span>
      <span class="worked mono">
        {{ stepValue(mark.step, mark.reference) }}
        <em v-if="mark.own !== undefined">{{ mine ? 'yours' : 'theirs' }}: {{ stepValue(mark.step, mark.own) }}</em>
      </span>
      <span><span class="tag" :class="verdict">{{ isCritical ? 'critical' : VERDICT_WORDS[verdict] }}</span></span>
      <span class="why">
        <template v-if="own"><b>Set by the assessor:</b> {{ own.reason }}</template>
        <template v-else>{{ becauseOf(mark) }}</template>
        <span v-if="selected === key" class="more">{{ mark.formula }} = {{ mark.working }} · {{ mark.source }}</span>
      </span>
    </div>
  </section>
</template>

<style scoped src="./marked.css"></style>
