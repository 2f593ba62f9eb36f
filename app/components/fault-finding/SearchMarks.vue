<script setup lang="ts">
import type { FaultFindingMark } from '#core/testing/fault-finding/judge'
import { FAULT_FINDING_TEXT, faultFindingSentence } from '#words/fault-finding'

/** How a search was gone about, rule by rule. */
defineProps<{ marks: readonly FaultFindingMark[] }>()

function standing({ state, isCritical }: FaultFindingMark): { readonly tag: string; readonly words: string } {
  if (state === 'kept') return { tag: 'met', words: 'kept' }
  if (state === 'part') return { tag: isCritical ? 'stop' : 'waiting', words: 'in part' }
  return isCritical ? { tag: 'stop', words: 'critical' } : { tag: 'waiting', words: 'not kept' }
}
</script>

<template>
  <ul class="marks">
    <li v-for="mark in marks" :key="mark.rule" :class="mark.state">
      <b>{{ FAULT_FINDING_TEXT[mark.rule].name }}</b><span class="tag" :class="standing(mark).tag">{{
        standing(mark).words
      }}</span>
      <p>{{ faultFindingSentence(mark) }}</p>
    </li>
  </ul>
</template>

<style scoped>
.marks {
  list-style: none;
  padding: 0;
  display: grid;
  gap: 10px;
}
.marks li {
  display: grid;
  grid-template-columns: 1fr auto;
  gap: 2px 12px;
  border-bottom: 1px solid var(--hem);
}
.marks p {
  grid-column: 1 / 3;
}
</style>
