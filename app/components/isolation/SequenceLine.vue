<script setup lang="ts">
import { RULE_TEXT } from '#words/isolation-rules'
import type { Debrief } from '#schemas/isolation-views'

/** The own sequence on one line of stitches; a pulled loop where a constraint broke, and what hands met. */
defineProps<{ sequence: Debrief['sequence'] }>()
const STEP = 112
</script>

<template>
  <div class="scroll" tabindex="0" aria-label="Your sequence">
    <ol class="line" :style="{ width: `${sequence.length * STEP}px` }">
      <li v-for="(act, i) in sequence" :key="i" :class="{ broken: act.broken.length, touched: act.touch }">
        <svg :width="STEP" height="34" aria-hidden="true">
          <rect class="sewn" x="26" y="15" :width="STEP - 30" height="4" rx="2" />
          <path v-if="act.broken.length" class="loop" d="M3 18c5 -20 20 -20 17 -4c-2 12 -16 10 -9 -3" />
          <circle v-else class="knot" cx="12" cy="17" r="6" />
        </svg>
        <span class="n">{{ i + 1 }}</span><b>{{ act.words }}</b>
        <span v-for="code in act.broken" :key="code" class="small stop"
          >not kept: {{ RULE_TEXT[code]?.name.toLowerCase() }}</span
        >
        <span v-if="act.touch" class="small touch">{{ act.touch }}</span>
      </li>
    </ol>
  </div>
</template>

<style scoped>
.scroll {
  overflow-x: auto;
  border: 1px solid var(--hem);
  background: var(--panel);
  padding: 8px 12px 12px;
}
.line {
  list-style: none;
  margin: 0;
  padding: 0;
  display: flex;
}
li {
  width: 112px;
  flex: none;
  display: flex;
  flex-direction: column;
  gap: 2px;
  font-size: 13.5px;
  line-height: 1.25;
  padding-right: 8px;
}
li svg {
  margin-left: 0;
}
.sewn {
  fill: var(--indigo);
  opacity: 0.5;
}
.knot {
  fill: var(--leaf);
}
.loop {
  fill: none;
  stroke: var(--madder);
  stroke-width: 3;
  stroke-linecap: round;
}
.n {
  font: var(--strong) 12px var(--mono);
  color: var(--soft);
}
.stop {
  color: var(--madder-text);
  font-weight: var(--strong);
}
.touch {
  color: var(--madder-text);
}
</style>
