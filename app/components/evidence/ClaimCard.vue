<script setup lang="ts">
import type { Criterion } from '#core/assessment/outcomes/framework'
import { READER_TEXT } from '#words/evidence/account'
import { KIND_TEXT } from '#words/evidence/labels'
import type { MarginClaim } from '~/composables/useAccount'

/** One claim in the margin: which criterion, the words, what is asked of them, how it was decided. */
const { claim, criterion } = defineProps<{ claim: MarginClaim; criterion: Criterion | undefined }>()
const last = computed(() => claim.decisions.at(-1))
</script>

<template>
  <article class="claim" :data-testid="`claim-${claim.criterion}`">
    <p class="row spread">
      <b
        ><span class="mono code">{{ claim.criterion }}</span>
        {{ criterion?.text ?? 'not in the framework in force' }}</b
      >
      <span v-if="last" class="tag" :class="last.met ? 'met' : 'wrong'">{{
        last.met ? 'accepted' : 'refused'
      }}</span>
    </p>
    <p class="quote">“{{ claim.quote }}”</p>
    <p class="soft small">as {{ KIND_TEXT[claim.kind] }}</p>
    <p v-if="claim.isEdited" class="small edited">
      The passage has been edited since. The claim keeps these words; mark it again if they should change.
    </p>
    <ul v-if="claim.asks.length && !last?.met" class="asks">
      <li v-for="ask in claim.asks" :key="ask">{{ READER_TEXT[ask] }}</li>
    </ul>
    <p v-for="decision in claim.decisions" :key="decision.at" class="small">
      <span class="tag" :class="decision.met ? 'met' : 'wrong'">{{
        decision.met ? 'accepted' : 'refused'
      }}</span>
      {{ decision.by }}, {{ dayTime(decision.at)
      }}<template v-if="decision.reason">: {{ decision.reason }}</template>
    </p>
    <div v-for="held in claim.discussions" :key="held.at" class="small held" data-testid="discussion">
      <p><b>Professional discussion</b>, {{ held.by }}, {{ dayTime(held.at) }}, {{ held.minutes }} min</p>
      <p class="soft words">{{ held.asked }}</p>
      <p class="words">“{{ held.said }}”</p>
    </div>
    <slot />
  </article>
</template>

<style scoped>
.claim {
  border-left: 5px solid var(--turmeric);
  padding: 4px 0 8px 12px;
  display: grid;
  gap: 6px;
}
.code {
  color: var(--indigo-text);
}
.quote {
  line-height: 1.35;
  display: -webkit-box;
  -webkit-line-clamp: 5;
  line-clamp: 5;
  -webkit-box-orient: vertical;
  overflow: hidden;
}
.held {
  border-left: 4px solid var(--indigo);
  padding-left: 10px;
}
.words {
  white-space: pre-line;
}
.edited {
  color: var(--turmeric-text);
}
.asks {
  margin: 0;
  padding-left: 18px;
  font-size: 14px;
}
.asks li::marker {
  content: '? ';
  color: var(--turmeric-text);
  font-weight: var(--heavy);
}
</style>
