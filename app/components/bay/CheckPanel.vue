<script setup lang="ts">
import type { BayCheck } from '#schemas/bay-views'

/** As built against what was asked for: each difference with what follows from it. */
defineProps<{ check: BayCheck }>()
const emit = defineEmits<{ show: [wire: string | null, at: readonly string[]]; close: [] }>()
const TAG = { critical: 'stop', fault: 'waiting', note: '' } as const
const WORD = { critical: 'critical', fault: 'fault', note: 'observation' } as const
</script>

<template>
  <section class="check" aria-label="Check" data-testid="check">
    <div class="row spread">
      <h2>Checked against the schedule</h2>
      <button type="button" class="close" aria-label="Close the check" @click="emit('close')">×</button>
    </div>
    <p>
      <b class="count">{{ check.made }}</b> of {{ check.asked }} connections as asked
    </p>
    <p v-for="problem in check.problems" :key="problem" class="stitched stop">{{ problem }}</p>
    <p v-if="check.problems.length === 0 && check.differences.length === 0" class="stitched met">
      Everything is where it was asked for. What the bay does is for your tests to show.
    </p>
    <article
      v-for="(difference, i) in check.differences"
      :key="i"
      class="difference"
      :class="difference.seriousness"
    >
      <span class="row spread"
        ><span class="tag" :class="TAG[difference.seriousness]">{{ WORD[difference.seriousness] }}</span
        ><button
          type="button"
          class="show"
          :aria-label="`Show on the drawing: ${difference.says}`"
          @click="emit('show', difference.wire, difference.at)"
        >
          Show
        </button></span
      >
      <b>{{ difference.says }}</b><span class="soft"><TermText :text="difference.means" /></span>
    </article>
  </section>
</template>

<style scoped>
.check {
  display: flex;
  flex-direction: column;
  gap: 8px;
  border-bottom: 1.5px dashed var(--hem-strong);
  padding-bottom: 12px;
  margin-bottom: 4px;
}
.count {
  font: var(--heavy) 22px var(--mono);
}
.close {
  all: unset;
  cursor: pointer;
  font-size: 22px;
  padding: 2px 10px;
}
.difference {
  display: flex;
  flex-direction: column;
  gap: 3px;
  padding: 8px 10px;
  border-left: 4px solid var(--hem-strong);
  background: var(--raised);
  font-size: 14.5px;
  line-height: 1.35;
}
.difference.critical {
  border-left-color: var(--madder);
}
.difference.fault {
  border-left-color: var(--turmeric);
  border-left-style: dashed;
}
.show {
  all: unset;
  cursor: pointer;
  min-height: 36px;
  padding: 0 10px;
  font-weight: var(--strong);
  color: var(--indigo-text);
  text-decoration: underline;
}
.show:focus-visible {
  outline: 2.5px solid var(--indigo);
}
</style>
