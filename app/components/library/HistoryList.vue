<script setup lang="ts">
import { dayText } from '#words/day'
import type { LibraryHistory } from '#words/library/entry'

/** What earlier editions asked about one topic, oldest first. */
defineProps<{ entry: LibraryHistory }>()
</script>

<template>
  <p class="soft">From memory, in our own words. The day is the one from which a design had to keep it.</p>
  <ol class="history">
    <li v-for="step in entry.asked" :key="step.from">
      <b>{{ step.edition }}</b> <span class="soft small">from {{ dayText(step.from) }}</span>
      <p>{{ step.said }}</p>
    </li>
  </ol>
  <p><b>Why it matters:</b> <TermText :text="entry.why" /></p>
</template>

<style scoped>
.history {
  margin: 0;
  padding: 0;
  list-style: none;
}
.history li {
  border-left: 3px solid var(--hem-strong);
  padding: 4px 0 8px 14px;
}
</style>
