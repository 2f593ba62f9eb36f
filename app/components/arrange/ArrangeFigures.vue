<script setup lang="ts">
import { SURGE_LEAD_M } from '#core/arrangement/surge'
import type { SeatedCircuit } from '#core/arrangement/board'
import type { Measured } from '#core/arrangement/measure'
import { LINES } from '#core/installation/installation'

/** Figures of arrangements side by side; the first is the one on the board. */
const { columns, circuits } = defineProps<{
  columns: readonly { readonly name: string; readonly measured: Measured; readonly total: number }[]
  circuits: readonly SeatedCircuit[]
}>()
const namesOf = (places: readonly number[]): string =>
  places.map((place) => circuits[place]!.name).join(', ') || 'none'
const currents = ({ linesA, neutralA }: Measured): readonly number[] =>
  linesA.length === 1 ? linesA : [...linesA, neutralA]
const most = computed(() => Math.max(1, ...columns.flatMap(({ measured }) => currents(measured))))
const amps = computed(() => {
  const names = columns[0]!.measured.linesA.length === 1 ? ['Line'] : [...LINES, 'Neutral']
  return names.map((name, i) => ({ name, values: columns.map(({ measured }) => currents(measured)[i]!) }))
})
const OTHERS: readonly { readonly name: string; readonly says: (of: Measured) => string }[] = [
  { name: 'Warmest pole', says: ({ hottestW }) => `${hottestW.toFixed(1)} W` },
  { name: 'Neutral leads too short', says: ({ outOfReach }) => namesOf(outOfReach) },
  { name: 'Loaded above the rated diversity factor', says: ({ aboveDiversity }) => namesOf(aboveDiversity) },
  {
    name: 'Lost altogether behind one RCD',
    says: ({ downAtOnce }) => downAtOnce.map((area) => area || 'the building').join(', ') || 'no part',
  },
  {
    name: `Leads of the SPD (${SURGE_LEAD_M} m or less)`,
    says: ({ surgeLeadM }) => (surgeLeadM === null ? 'no SPD' : `${surgeLeadM.toFixed(2)} m`),
  },
  {
    name: 'Leakage behind each shared RCD',
    says: ({ leakageMA }) => leakageMA.map((mA) => `${mA.toFixed(1)} mA`).join(' · ') || 'no shared RCD',
  },
]
</script>

<template>
  <table class="grid-table" data-testid="arrange-figures">
    <thead>
      <tr>
        <th />
        <th v-for="{ name } in columns" :key="name">{{ name }}</th>
      </tr>
    </thead>
    <tbody>
      <tr v-for="one in amps" :key="one.name">
        <th scope="row">{{ one.name }}</th>
        <td v-for="(ampere, i) in one.values" :key="i">
          <span
            class="bar"
            :class="{ first: i === 0 }"
            :style="{ width: `${(70 * ampere) / most}px` }"
            aria-hidden="true"
          />
          <b class="mono">{{ ampere.toFixed(1) }} A</b>
        </td>
      </tr>
      <tr v-for="other in OTHERS" :key="other.name">
        <th scope="row">{{ other.name }}</th>
        <td v-for="({ measured, name }, i) in columns" :key="name" :class="{ soft: i > 0 }">
          {{ other.says(measured) }}
        </td>
      </tr>
      <tr>
        <th scope="row">All wishes together (lower is better)</th>
        <td v-for="{ name, total } in columns" :key="name" class="mono">{{ total.toFixed(2) }}</td>
      </tr>
    </tbody>
  </table>
</template>

<style scoped>
.bar {
  display: inline-block;
  height: 10px;
  margin-right: 8px;
  background: var(--hem-strong);
}
.bar.first {
  background: var(--indigo);
}
</style>
