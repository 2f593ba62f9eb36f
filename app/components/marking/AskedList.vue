<script setup lang="ts">
import type { AskedOutcome } from '#core/questions/outcome'
import type { AskedView } from '#schemas/question-views'

/** What was asked at the bay of this job, and how it went. */
defineProps<{ asked: readonly AskedView[]; attempt: number; mayAsk: boolean }>()
const OUTCOME: Readonly<Record<AskedOutcome, string>> = {
  unaided: 'unaided',
  prompted: 'with a prompt',
  notYet: 'not yet',
}
const TAG: Readonly<Record<AskedOutcome, string>> = { unaided: 'met', prompted: 'waiting', notYet: 'wrong' }
</script>

<template>
  <section aria-label="Questions at the bay">
    <div class="row spread">
      <h2>Questions at the bay</h2>
      <NuxtLink v-if="mayAsk" :to="`/ask/${attempt}`">Ask</NuxtLink>
    </div>
    <p v-if="asked.length === 0" class="soft small">None yet.</p>
    <p v-for="one in asked" :key="one.token" class="one" :class="{ undone: one.isUndone }">
      <span class="tag" :class="TAG[one.outcome]">{{
        one.isUndone ? 'taken back' : OUTCOME[one.outcome]
      }}</span>
      <span>{{ one.wording }}</span>
      <span class="soft small"
        >{{ one.by }}, {{ dayTime(one.askedAt)
        }}<template v-if="one.prompt"> · prompt: {{ one.prompt }}</template
        ><template v-if="one.remark"> · {{ one.remark }}</template></span
      >
    </p>
  </section>
</template>

<style scoped>
.one {
  display: grid;
  grid-template-columns: 110px 1fr;
  gap: 2px 10px;
  border-bottom: 1px solid var(--hem);
  padding: 6px 0;
  align-items: baseline;
}
.one .small {
  grid-column: 2;
}
.undone > span:nth-child(2) {
  text-decoration: line-through;
}
</style>
