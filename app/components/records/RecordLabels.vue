<script setup lang="ts">
import { PICTURE_H as H, PICTURE_W as W, wallPart } from '#core/drawing/bay-part'
import { deviceBody } from '#core/drawing/device'
import { twoPoleIndicator } from '#core/drawing/tester'
import { RCD_NOTICE, SUPPLIES_DUTY, suppliesNotice } from '#words/test-record'
import type { TestRecordsView } from '#schemas/test-record-views'

/** Labels of a tested board: inspected and tested, the notice of the RCDs, one for each circuit. */
defineProps<{ view: TestRecordsView; next: string }>()
const RCD = deviceBody({ kind: 'rcd', modules: 2, print: '', isOn: true, body: 'right' })
const WAY = deviceBody({ kind: 'breaker', modules: 1, print: '', isOn: true, body: 'right' })
const TESTER = twoPoleIndicator(0)
const SECOND = wallPart({ kind: 'changeover' }, { isOn: true, isTripped: false, isWorking: true })
</script>

<template>
  <div class="stickers">
    <div class="sticker">
      <svg class="drawn" viewBox="40 -4 160 210" aria-hidden="true"><DrawnShapes :shapes="TESTER" /></svg>
      <b>Inspected and tested</b><span>Bay {{ view.attempt.bay }} · {{ view.attempt.title }}</span
      ><span
        >Next inspection by <b class="mono">{{ next }}</b></span
      ><span class="soft">Training bay. The rules of the centre apply.</span>
    </div>
    <div class="sticker">
      <svg class="drawn" viewBox="-2 -2 92 200" aria-hidden="true"><DrawnShapes :shapes="RCD" /></svg>
      <b>Residual current devices</b
      ><span
        >Press each test button {{ RCD_NOTICE[view.attempt.edition] }}. The device must open at once.</span
      ><span>If it does not, tell the person in charge; do not use the circuit.</span>
    </div>
    <div v-if="view.sources.length" class="sticker" data-testid="multiple-supplies">
      <svg class="drawn" :viewBox="`0 0 ${W} ${H}`" aria-hidden="true"><DrawnShapes :shapes="SECOND" /></svg>
      <b>Multiple supplies</b><span>{{ suppliesNotice(view.sources) }}</span
      ><span>{{ SUPPLIES_DUTY }}</span>
    </div>
    <div v-for="circuit in view.circuits" :key="circuit.id" class="sticker small-one">
      <svg class="drawn" viewBox="-2 -2 48 200" aria-hidden="true"><DrawnShapes :shapes="WAY" /></svg>
      <b>{{ circuit.name }}</b><span class="mono">{{ circuit.device }}</span>
    </div>
  </div>
</template>

<style src="~/assets/drawn.css" />
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
  position: relative;
  padding-right: 84px;
}
.sticker svg {
  position: absolute;
  right: 12px;
  top: 10px;
  width: 60px;
  max-height: calc(100% - 20px);
  background: none;
}
.small-one svg {
  width: 22px;
}
.sticker > b {
  font-size: 18px;
}
.small-one {
  min-height: 48px;
}
</style>
