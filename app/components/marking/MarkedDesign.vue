<script setup lang="ts">
import { STEP_KINDS, stepWords } from '#core/design/model/step-kinds'
import type { StepMark } from '#core/assessment/marking/mark-step'
import type { Override } from '#core/assessment/marking/proposal'
import type { ItemKey } from '#core/assessment/outcomes/evidence-key'
import type { ScopeNames } from '#words/findings/findings'
import { STEP_TEXT } from '#words/steps'
import { VERDICT_WORDS, becauseOf, overrideOf, theirs } from '~/texts/marks'

/**
 * Every design step of a sheet, circuit by circuit: what was written, what was worked, the verdict and its
 * reason.
 */
const props = defineProps<{
  marks: readonly StepMark[]
  overrides: readonly Override[]
  scopes: ScopeNames
  selected?: string
  mine?: boolean
  onlyOpen?: boolean
}>()
const emit = defineEmits<{ pick: [item: ItemKey] }>()

const parts = computed(() =>
  Object.entries(props.scopes).map(([scope, name]) => {
    const rows = props.marks
      .filter((mark) => mark.scope === scope)
      .map((mark) => {
        const key: ItemKey = `design.${mark.node}`
        const override = overrideOf(key, props.overrides)
        const isCritical = !override && mark.findings.some((finding) => finding.seriousness === 'critical')
        return { mark, key, override, isCritical, verdict: override?.verdict ?? mark.verdict }
      })
    const wrong = rows.filter(({ verdict }) => verdict === 'wrong' || verdict === 'missing').length
    const carried = rows.filter(({ verdict }) => verdict === 'carried').length
    const summary =
      [wrong && `${wrong} wrong`, carried && `${carried} right for ${props.mine ? 'your' : 'their'} figures`]
        .filter(Boolean)
        .join(', ') || 'all right'
    return {
      scope,
      name,
      summary,
      isRight: wrong === 0,
      rows: props.onlyOpen
        ? rows.filter(
            ({ verdict, mark, key }) =>
              verdict !== 'right' || mark.findings.length > 0 || key === props.selected,
          )
        : rows,
    }
  }),
)
</script>

<template>
  <section aria-label="Design">
    <div class="line head">
      <span /><span>Design step</span><span>{{ mine ? 'Yours' : 'Theirs' }}</span
      ><span>Reference</span><span>{{ mine ? 'Marked' : 'Proposed' }}</span
      ><span>Because</span>
    </div>
    <template v-for="part in parts" :key="part.scope">
      <h3 v-if="parts.length > 1" :id="`scope-${part.scope}`" class="scope">
        {{ part.name }} <span class="tag" :class="part.isRight ? 'right' : 'wrong'">{{ part.summary }}</span>
      </h3>
      <div
        v-for="{ mark, key, override, isCritical, verdict } in part.rows"
        :key="key"
        class="line"
        :class="{ selected: selected === key }"
        :data-item="key"
        :data-verdict="verdict"
        @click="emit('pick', key)"
      >
        <VerdictEdge :verdict="verdict" />
        <span class="name"
          >{{ STEP_TEXT[mark.step].name }} <span class="sym">{{ STEP_KINDS[mark.step].symbol }}</span></span
        >
        <span class="theirs mono">{{ theirs(mark) }}</span>
        <span class="worked mono">
          {{ stepWords(mark.step, mark.reference) }}
          <em v-if="mark.own !== undefined"
            >{{ mine ? 'yours' : 'theirs' }}: {{ stepWords(mark.step, mark.own) }}</em
          >
        </span>
        <span
          ><span class="tag" :class="verdict">{{
            isCritical ? 'critical' : VERDICT_WORDS[verdict]
          }}</span></span
        >
        <span class="why">
          <template v-if="override"><b>Set by the assessor:</b> {{ override.reason }}</template>
          <TermText v-else :text="becauseOf(mark)" />
          <span v-if="selected === key" class="more"
            >{{ mark.formula }}: {{ mark.working.replaceAll('\n', '; ') }} · {{ mark.source }}</span
          >
        </span>
      </div>
    </template>
  </section>
</template>

<style scoped src="./marked.css"></style>
