<script setup lang="ts">
import type { Debrief } from '#schemas/isolation-views'

/** After a rehearsal: the verdict, the sequence with what hands would have met, and rule by rule. */
const props = defineProps<{ title: string; debrief: Debrief; minutes: string }>()
const emit = defineEmits<{ again: [] }>()

/** What was called for, and what of it was kept. */
const due = computed(() =>
  props.debrief.verdict.rules.filter(({ state }) => state === 'kept' || state === 'broken'),
)
const kept = computed(() => due.value.filter(({ state }) => state === 'kept'))
const heading = computed(() => {
  const { met, critical } = props.debrief.verdict
  if (met) return 'Every constraint that counts was kept'
  return critical.length ? 'A critical step went wrong' : 'Not yet complete'
})
</script>

<template>
  <div class="page stack">
    <div class="row spread">
      <div>
        <p class="soft">
          {{ title }} · {{ kept.length }} of {{ due.length }} constraints kept · {{ minutes }}, which nobody
          counts
        </p>
        <h1 data-testid="verdict">{{ heading }}</h1>
      </div>
      <div class="row">
        <el-button type="primary" @click="emit('again')">Try again</el-button
        ><LinkButton to="/practice">All rehearsals</LinkButton>
      </div>
    </div>
    <SequenceLine :sequence="debrief.sequence" />
    <p class="stitched">{{ debrief.secret }}</p>
    <h2>What to keep, what to do differently</h2>
    <RuleList :verdict="debrief.verdict" />
    <p class="caution">
      A rehearsal. At a real bay you isolate under supervision, by the rules of your centre and the current
      regulations.
    </p>
  </div>
</template>
