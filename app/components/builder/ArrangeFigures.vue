<script setup lang="ts">
import type { SeatedCircuit } from '#core/arrangement/board'
import type { Measured } from '#core/arrangement/measure'
import { LINES } from '#core/installation/installation'

/** What an arrangement comes to, beside what stands in the exercise. */
const { now, before, circuits } = defineProps<{
  now: Measured
  before: Measured
  circuits: readonly SeatedCircuit[]
}>()
const namesOf = (places: readonly number[]): string =>
  places.map((place) => circuits[place]!.name).join(', ') || 'none'
const leakage = ({ leakageMA }: Measured): string =>
  leakageMA.map((mA) => `${mA.toFixed(1)} mA`).join(' · ') || 'no shared RCD'
const most = computed(() => Math.max(1, ...now.linesA, ...before.linesA, now.neutralA, before.neutralA))
const amps = computed(() => [
  ...now.linesA.map((ampere, i) => ({
    name: now.linesA.length === 1 ? 'Line' : LINES[i]!,
    now: ampere,
    before: before.linesA[i]!,
  })),
  ...(now.linesA.length === 1 ? [] : [{ name: 'Neutral', now: now.neutralA, before: before.neutralA }]),
])
const others = computed(() => [
  { name: 'Warmest seat', now: `${now.hottestW.toFixed(1)} W`, before: `${before.hottestW.toFixed(1)} W` },
  { name: 'Leads that do not reach', now: namesOf(now.outOfReach), before: namesOf(before.outOfReach) },
  {
    name: 'Loaded above the assembly’s share',
    now: namesOf(now.aboveDiversity),
    before: namesOf(before.aboveDiversity),
  },
  {
    name: 'Dark at once',
    now: now.downAtOnce.map((area) => area || 'the building').join(', ') || 'no part',
    before: before.downAtOnce.map((area) => area || 'the building').join(', ') || 'no part',
  },
  { name: 'Leakage behind each shared RCD', now: leakage(now), before: leakage(before) },
])
</script>

<template>
  <table class="grid-table" data-testid="arrange-figures">
    <thead>
      <tr>
        <th />
        <th>As arranged</th>
        <th>In the exercise</th>
      </tr>
    </thead>
    <tbody>
      <tr v-for="one in amps" :key="one.name">
        <th scope="row">{{ one.name }}</th>
        <td
          v-for="[key, ampere] in [
            ['now', one.now],
            ['before', one.before],
          ] as const"
          :key="key"
        >
          <span class="bar" :class="key" :style="{ width: `${(90 * ampere) / most}px` }" aria-hidden="true" />
          <b class="mono">{{ ampere.toFixed(1) }} A</b>
        </td>
      </tr>
      <tr v-for="one in others" :key="one.name">
        <th scope="row">{{ one.name }}</th>
        <td>{{ one.now }}</td>
        <td class="soft">{{ one.before }}</td>
      </tr>
    </tbody>
  </table>
</template>

<style scoped>
.bar {
  display: inline-block;
  height: 10px;
  margin-right: 8px;
  background: var(--indigo);
}
.bar.before {
  background: var(--hem-strong);
}
</style>
