<script setup lang="ts">
import { quantityOf, isTick, kindOf } from '#core/testing/kinds/kinds'
import { whyKey, type Readings } from '#core/testing/readings'
import { readingText } from '#words/testing'
import { QUANTITIES } from '#core/units/quantity'
import type { TestRecordsView } from '#schemas/test-record-views'
import { DEAD_COLUMNS, LIVE_COLUMNS } from '~/texts/schedule'

/** The schedule of circuits and results as it is printed: what was written, nothing else. */
const props = defineProps<{ view: TestRecordsView; readings: Readings; only?: readonly string[] }>()
const circuits = computed(() =>
  props.view.circuits.filter(({ id }) => !props.only || props.only.includes(id)),
)
const asked = computed(() => props.view.tests.filter(({ isAsked }) => isAsked))
const columns = computed(() =>
  [...DEAD_COLUMNS, ...LIVE_COLUMNS].filter((kind) =>
    asked.value.some((test) => test.kind === kind && circuits.value.some(({ id }) => id === test.circuit)),
  ),
)
const ofSupply = computed(() => asked.value.filter(({ circuit }) => circuit === null))
const keyOf = (circuit: string, kind: string) =>
  asked.value.find((test) => test.circuit === circuit && test.kind === kind)?.key
/** The unit stands in the heading. */
const bare = (key: string | undefined) =>
  key ? (props.readings[key] ?? '').replace(/\s*(Ω|MΩ|ms|kA)$/, '') || '·' : '–'
const left = computed(() =>
  asked.value
    .filter(({ key }) => /^(n\/?a|lim)/i.test(props.readings[key] ?? ''))
    .map(
      ({ key, circuit }) =>
        `${props.view.circuits.find(({ id }) => id === circuit)?.name ?? 'Supply'}, ${readingText(key).name.toLowerCase()}: ${props.readings[key]}, ${props.readings[whyKey(key)] ?? ''}`,
    ),
)
const unit = (kind: string) => (isTick(kind) ? '' : QUANTITIES[quantityOf(kind)].unit)
</script>

<template>
  <div class="results wide-print">
    <p class="supply">
      <span v-for="{ key } in ofSupply" :key="key"
        ><span class="soft">{{ readingText(key).name }}</span>
        <b class="mono">{{ readings[key] || '·' }}</b></span
      >
    </p>
    <div class="scroll" tabindex="0" role="region" aria-label="Results">
      <table class="grid-table">
        <thead>
          <tr>
            <th>Circuit</th>
            <th v-for="kind in columns" :key="kind" class="num">
              {{ kindOf(kind).symbol }}<small>{{ unit(kind) }}</small>
            </th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="circuit in circuits" :key="circuit.id">
            <th scope="row">
              {{ circuit.name }}<small>{{ circuit.device }} · {{ circuit.conductors }}</small>
            </th>
            <td v-for="kind in columns" :key="kind" class="num mono">{{ bare(keyOf(circuit.id, kind)) }}</td>
          </tr>
        </tbody>
      </table>
    </div>
    <p v-for="line in left" :key="line" class="small">{{ line }}</p>
  </div>
</template>

<style scoped>
.results {
  display: flex;
  flex-direction: column;
  gap: 8px;
}
.supply {
  display: flex;
  gap: 6px 22px;
  flex-wrap: wrap;
  margin-bottom: 8px;
}
.scroll {
  overflow-x: auto;
}
table {
  border-collapse: collapse;
  width: 100%;
}
th,
td {
  border-bottom: 1px solid var(--hem);
  padding: 5px 7px;
  text-align: left;
  font-size: 14px;
}
thead th {
  border-bottom: 1.5px solid var(--ink);
  font: var(--strong) 13.5px var(--mono);
}
small {
  display: block;
  font: var(--mid) 12px var(--font);
  color: var(--soft);
}
.num {
  text-align: right;
}
tbody th {
  font-weight: var(--strong);
}
@media print {
  th,
  td {
    padding: 3px 4px;
    font-size: 9pt;
  }
  thead th {
    font-size: 8.5pt;
  }
}
</style>
