<script setup lang="ts">
import { RCD_NOTICE, SUPPLIES_DUTY, suppliesNotice } from '#words/test-record'
import type { TestRecordsView } from '#schemas/test-record-views'

/** Labels of a tested board: inspected and tested, the notice of the RCDs, one for each circuit. */
defineProps<{ view: TestRecordsView; next: string }>()
</script>

<template>
  <div class="stickers">
    <div class="sticker">
      <b>Inspected and tested</b><span>Bay {{ view.attempt.bay }} · {{ view.attempt.title }}</span
      ><span
        >Next inspection by <b class="mono">{{ next }}</b></span
      ><span class="soft">Training bay. The rules of the centre apply.</span>
    </div>
    <div class="sticker">
      <b>Residual current devices</b
      ><span
        >Press each test button {{ RCD_NOTICE[view.attempt.edition] }}. The device must open at once.</span
      ><span>If it does not, tell the person in charge; do not use the circuit.</span>
    </div>
    <div v-if="view.sources.length" class="sticker" data-testid="multiple-supplies">
      <b>Multiple supplies</b><span>{{ suppliesNotice(view.sources) }}</span
      ><span>{{ SUPPLIES_DUTY }}</span>
    </div>
    <div v-for="circuit in view.circuits" :key="circuit.id" class="sticker small-one">
      <b>{{ circuit.name }}</b><span class="mono">{{ circuit.device }}</span>
    </div>
  </div>
</template>

<style scoped>
.stickers {
  display: grid;
  grid-template-columns: repeat(2, 1fr);
  gap: 14px;
}
.sticker {
  border: 2px solid var(--ink);
  padding: 12px 16px;
  display: flex;
  flex-direction: column;
  gap: 4px;
  min-height: 96px;
  break-inside: avoid;
}
.sticker > b {
  font-size: 18px;
}
.small-one {
  min-height: 48px;
}
</style>
