<script setup lang="ts">
import { INDICATOR_NAME } from '#words/isolation'
import type { RunView } from '#schemas/isolation-views'
import { indicatorDrawn } from '~/texts/isolation'

/** What the indicator in hand shows: drawn as it stands in the hand, with its own words or each pair. */
defineProps<{ shown: NonNullable<RunView['shown']> }>()
</script>

<template>
  <div class="shown" data-testid="shown" aria-live="polite">
    <svg class="drawn" viewBox="0 0 250 210" aria-hidden="true">
      <DrawnShapes :shapes="indicatorDrawn(shown)" />
    </svg>
    <b>{{ INDICATOR_NAME[shown.indicator] }}</b>
    <span v-if="shown.words" class="words">{{ shown.words }}</span>
    <span v-for="pair in shown.pairs" :key="pair.name" class="pair" :class="{ lit: pair.volt > 0 }"
      ><span>{{ pair.name }}</span
      ><b>{{ pair.volt > 0 ? `${pair.volt} V` : 'nothing' }}</b></span
    >
  </div>
</template>

<style src="~/assets/drawn.css" />
<style scoped>
svg {
  width: 150px;
  background: none;
}
.shown {
  display: flex;
  gap: 10px;
  align-items: center;
  flex-wrap: wrap;
  border: 1.5px solid var(--ink);
  border-radius: var(--ease);
  background: var(--raised);
  padding: 10px 14px;
}
.words {
  font: var(--heavy) 20px var(--mono);
}
.pair {
  display: flex;
  flex-direction: column;
  padding: 2px 12px;
  border-left: 4px dotted var(--hem-strong);
  font-size: 14px;
}
.pair b {
  font: var(--heavy) 18px var(--mono);
}
.pair.lit {
  border-left: 5px solid var(--madder);
  color: var(--madder-text);
}
</style>
