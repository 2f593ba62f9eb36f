<script setup lang="ts">
import type { Override } from '#core/assessment/marking/proposal'
import type { ItemKey } from '#core/assessment/outcomes/evidence-key'
import type { ReadingMark } from '#core/testing/judge/judge'
import { quantityOf, isTick, kindOf } from '#core/testing/kinds/kinds'
import { findingSentence, itemName, type ScopeNames } from '#words/findings/findings'
import { BAND_REASON, workingWords } from '#words/testing'
import { QUANTITIES } from '#core/units/quantity'
import { VERDICT_WORDS, expectedWords, overrideOf, readingWords } from '~/texts/marks'

const props = defineProps<{
  marks: readonly ReadingMark[]
  overrides: readonly Override[]
  scopes?: ScopeNames
  selected?: string
  mine?: boolean
  onlyOpen?: boolean
  toldElsewhere?: ReadonlySet<string>
}>()
const emit = defineEmits<{ pick: [item: ItemKey] }>()

/** Of a whole board what stands out comes alone when it is asked for; the selected line stays. */
const rows = computed(() =>
  props.marks
    .filter(
      (mark) =>
        !props.onlyOpen ||
        mark.verdict !== 'right' ||
        mark.findings.length > 0 ||
        props.selected === `reading.${mark.reading}`,
    )
    .map((mark) => {
      const key: ItemKey = `reading.${mark.reading}`
      const override = overrideOf(key, props.overrides)
      const { scale } = QUANTITIES[quantityOf(mark.reading)]
      const isCritical = !override && mark.findings.some((finding) => finding.seriousness === 'critical')
      return { mark, key, override, scale, isCritical, verdict: override?.verdict ?? mark.verdict }
    }),
)
/** What one cause says of many readings is said once, beside them. */
const sentencesOf = (mark: ReadingMark) => {
  const all = mark.findings.map(findingSentence)
  const rest = all.filter((sentence) => !props.toldElsewhere?.has(sentence))
  return rest.length < all.length ? [...rest, 'See beside.'] : rest
}
const scaled = (value: number | undefined, scale: number) => (value === undefined ? undefined : value * scale)
</script>

<template>
  <section aria-label="Readings">
    <div class="line reading head">
      <span /><span>Reading</span><span>{{ mine ? 'Yours' : 'Theirs' }}</span
      ><span>Expected at this bay, and limit</span><span>{{ mine ? 'Marked' : 'Proposed' }}</span
      ><span>Because</span>
    </div>
    <div
      v-for="{ mark, key, override, scale, isCritical, verdict } in rows"
      :key="key"
      class="line reading"
      :class="{ selected: selected === key }"
      :data-item="key"
      :data-verdict="verdict"
      @click="emit('pick', key)"
    >
      <VerdictEdge :verdict="verdict" />
      <span class="name"
        >{{ itemName(key, scopes) }} <span class="sym">{{ kindOf(mark.reading).symbol }}</span></span
      >
      <span class="theirs mono">{{ readingWords(mark) }}</span>
      <span>
        <BandGauge
          v-if="!isTick(mark.reading)"
          :value="scaled(mark.value, scale)"
          :over="mark.over"
          :low="scaled(mark.expected.low, scale)"
          :high="scaled(mark.expected.high, scale)"
          :limit="scaled(mark.expected.limit?.value, scale)"
          :limit-kind="mark.expected.limit?.kind"
          :verdict="mark.verdict"
          :label="`${readingWords(mark)}; expected ${expectedWords(mark)}`"
        />
        <span class="small soft">{{ expectedWords(mark) }}</span>
      </span>
      <span
        ><span class="tag" :class="verdict">{{
          isCritical ? 'critical' : VERDICT_WORDS[verdict]
        }}</span></span
      >
      <span class="why">
        <template v-if="override"><b>Set by the assessor:</b> {{ override.reason }}</template>
        <template v-else><TermText :text="sentencesOf(mark).join(' ')" /></template>
        <span v-if="selected === key" class="more"
          >{{ workingWords(mark.expected.working)
          }}<template v-if="mark.expected.reasons?.length">
            · band: {{ mark.expected.reasons.map((reason) => BAND_REASON[reason]).join(', ') }}</template
          >
          · {{ mark.source }}</span
        >
      </span>
    </div>
  </section>
</template>

<style scoped src="./marked.css"></style>
