<script setup lang="ts">
import type { WorkMark } from '#core/inspection/work-mark'
import type { Override } from '#core/assessment/marking/proposal'
import type { ItemKey } from '#core/assessment/outcomes/evidence-key'
import { findingSentence } from '#words/findings/findings'
import { GROUP_NAME } from '#words/inspection'
import { VERDICT_WORDS, overrideOf } from '~/texts/marks'

/** What an assessor saw of the work, group by group. */
const props = defineProps<{
  marks: readonly WorkMark[]
  overrides: readonly Override[]
  selected?: string
  mine?: boolean
  onlyOpen?: boolean
}>()
const emit = defineEmits<{ pick: [item: ItemKey] }>()

const rows = computed(() =>
  props.marks
    .map((mark) => {
      const key: ItemKey = `work.${mark.group}`
      const override = overrideOf(key, props.overrides)
      const isCritical = !override && mark.findings.some(({ seriousness }) => seriousness === 'critical')
      return { mark, key, override, isCritical, verdict: override?.verdict ?? mark.verdict }
    })
    .filter(
      ({ mark, verdict, key }) =>
        !props.onlyOpen || verdict !== 'right' || mark.findings.length > 0 || props.selected === key,
    ),
)
</script>

<template>
  <section aria-label="Inspection">
    <div class="line work head">
      <span /><span>Inspection</span><span>Looked at</span><span>{{ mine ? 'Marked' : 'Proposed' }}</span
      ><span>Because</span>
    </div>
    <div
      v-for="{ mark, key, override, isCritical, verdict } in rows"
      :key="key"
      class="line work"
      :class="{ selected: selected === key }"
      :data-item="key"
      :data-verdict="verdict"
      @click="emit('pick', key)"
    >
      <VerdictEdge :verdict="verdict" />
      <span class="name">{{ GROUP_NAME[mark.group] }}</span>
      <span class="theirs mono">{{ mark.looked }}</span>
      <span
        ><span class="tag" :class="verdict">{{
          isCritical ? 'critical' : VERDICT_WORDS[verdict]
        }}</span></span
      >
      <span class="why"
        ><template v-if="override"><b>Set by the assessor:</b> {{ override.reason }}</template
        ><TermText v-else :text="mark.findings.map(findingSentence).join(' ') || 'Correct.'"
      /></span>
    </div>
  </section>
</template>

<style scoped src="./marked.css"></style>
