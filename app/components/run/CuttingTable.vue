<script setup lang="ts">
import type { CuttingList } from '#core/containment/cutting'

/** Which pieces come out of which tube, drawn to scale, and how close that is to the least there can be. */
const props = defineProps<{
  list: CuttingList
  stockMm: number
  fittings: readonly { readonly name: string; readonly count: number }[]
}>()
const MOST = 40
const share = computed(() =>
  props.list.bars.length === 0 ? 0 : props.list.wasteMm / (props.list.bars.length * props.stockMm),
)
</script>

<template>
  <div class="cutting">
    <p class="sum" data-testid="cutting-sum">
      <b class="mono">{{ list.bars.length }}</b> tubes of {{ stockMm / 1000 }} m,
      {{ (share * 100).toFixed(1) }} % left over.
      {{ list.isLeast ? 'Fewer cannot do.' : `At least ${list.leastBars} are needed by any plan.` }}
    </p>
    <p v-for="piece in list.tooLong" :key="piece.name" class="caution">
      {{ piece.name }} is longer than a tube: put a box or an inspection elbow on the way.
    </p>
    <div v-for="(bar, i) in list.bars.slice(0, MOST)" :key="i" class="bar">
      <span
        v-for="(piece, k) in bar.pieces"
        :key="k"
        :style="{ flexGrow: piece.lengthMm }"
        :title="`${piece.name}, ${Math.round(piece.lengthMm)} mm`"
        >{{ piece.name }}<small>{{ Math.round(piece.lengthMm) }}</small></span
      ><span class="left" :style="{ flexGrow: Math.max(1, bar.leftMm) }"
        ><small>{{ Math.round(bar.leftMm) }}</small></span
      >
    </div>
    <p v-if="list.bars.length > MOST" class="soft">and {{ list.bars.length - MOST }} more</p>
    <h3>Fittings and fixings</h3>
    <p v-for="fitting in fittings" :key="fitting.name">
      <b class="mono">{{ fitting.count }} ×</b> {{ fitting.name }}
    </p>
  </div>
</template>

<style scoped>
.cutting {
  display: flex;
  flex-direction: column;
  gap: 5px;
}
.sum {
  font-size: 17px;
}
.bar {
  display: flex;
  border: 1.5px solid var(--ink);
  min-height: 34px;
  max-width: 860px;
  break-inside: avoid;
}
.bar span {
  flex-basis: 0;
  border-right: 1.5px solid var(--ink);
  padding: 2px 6px;
  font-size: 12.5px;
  line-height: 1.15;
  overflow: hidden;
  white-space: nowrap;
  background: var(--raised);
}
.bar small {
  display: block;
  font-family: var(--mono);
}
.left {
  background: repeating-linear-gradient(135deg, transparent 0 5px, var(--hem) 5px 6px) !important;
  border-right: 0 !important;
  color: var(--soft);
}
h3 {
  margin-top: 12px;
}
</style>
