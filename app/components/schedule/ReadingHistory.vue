<script setup lang="ts">
import type { ReadingChange } from '#schemas/schedule-views'

/** Every change of one reading, oldest first: what stood there, who changed it, when and how. */
const props = defineProps<{ changes: readonly ReadingChange[]; name: string }>()
const VIA = { typed: 'typed', file: 'from a file', instrument: 'sent by an instrument' } as const
const steps = computed(() =>
  props.changes.map((change) => ({
    ...change,
    words: change.before === '' ? change.after : `${change.before} → ${change.after || 'emptied'}`,
  })),
)
</script>

<template>
  <section class="history" data-testid="reading-history">
    <h3>{{ name }}: how it came about</h3>
    <p v-if="steps.length === 0" class="soft small">Nothing was written down of its changes.</p>
    <ol>
      <li v-for="(step, i) in steps" :key="i">
        <b class="mono">{{ step.words }}</b>
        <span class="small soft">
          {{ dayTime(step.at) }}, {{ step.by ?? 'nobody known' }}, {{ VIA[step.via]
          }}<template v-if="step.claimedAt"> (the file says {{ step.claimedAt }})</template>
        </span>
      </li>
    </ol>
  </section>
</template>

<style scoped>
.history h3 {
  font-size: 15.5px;
}
ol {
  margin: 4px 0 0;
  padding-left: 20px;
}
li {
  padding: 2px 0;
}
li .small {
  display: block;
}
</style>
