<script setup lang="ts">
import type { DatedItem } from '#schemas/planning-views'
import { weekdayText } from '#words/day'
import { DATE_TEXT } from '#words/planning/dates'

/** One thing on its day. */
defineProps<{ item: DatedItem }>()
const emit = defineEmits<{ remove: [] }>()
</script>

<template>
  <p class="line">
    <b class="mono">{{ weekdayText(item.day) }}</b>
    <span
      >{{ DATE_TEXT[item.kind] }}:
      <NuxtLink v-if="item.to" :to="item.to">{{ item.what }}</NuxtLink>
      <template v-else>{{ item.what }}</template></span
    >
    <button
      v-if="item.entryId !== null"
      type="button"
      class="text-button"
      :aria-label="`Remove ${item.what}`"
      @click="emit('remove')"
    >
      Remove
    </button>
  </p>
</template>

<style scoped>
.line {
  display: grid;
  grid-template-columns: 110px 1fr auto;
  gap: 10px;
  padding: 6px 0;
  border-bottom: 1px solid var(--hem);
  align-items: baseline;
}
</style>
