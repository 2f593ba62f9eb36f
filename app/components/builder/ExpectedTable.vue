<script setup lang="ts">
import type { ExpectedReading } from '#core/testing/expected/expected'
import { isTick, kindOf, quantityOf } from '#core/testing/kinds/kinds'
import { readingText } from '#words/testing'
import { formatNumber, formatQuantity } from '#core/units/format'
import { QUANTITIES } from '#core/units/quantity'

/** What the tests of the wired circuit should show. */
defineProps<{ readings: readonly ExpectedReading[] }>()

const quantity = (reading: ExpectedReading) => quantityOf(reading.key)
const scaled = (reading: ExpectedReading, value: number | undefined) =>
  value === undefined ? undefined : value * QUANTITIES[quantity(reading)].scale
function band(reading: ExpectedReading): string {
  const { key, low, high } = reading
  if (isTick(key)) return '✓'
  if (high === undefined) return `≥ ${formatQuantity(low, quantity(reading))}`
  return `${formatNumber(low, quantity(reading))} – ${formatQuantity(high, quantity(reading))}`
}
const limit = (reading: ExpectedReading) =>
  reading.limit
    ? `${reading.limit.kind === 'maximum' ? '≤' : '≥'} ${formatQuantity(reading.limit.value, quantity(reading))}`
    : ''
</script>

<template>
  <table class="grid-table" data-testid="expected">
    <thead>
      <tr>
        <th>Expected reading</th>
        <th class="num">Value</th>
        <th>Band and limit</th>
        <th />
      </tr>
    </thead>
    <tbody>
      <tr v-for="reading in readings" :key="reading.key">
        <td>
          <b>{{ readingText(reading.key).name }}</b>
          <span class="sym">{{ kindOf(reading.key).symbol }}</span>
        </td>
        <td class="num value">
          {{ reading.value === undefined ? '' : formatQuantity(reading.value, quantity(reading)) }}
        </td>
        <td class="mono how">
          {{ band(reading) }} <span v-if="limit(reading)" class="limit">{{ limit(reading) }}</span>
        </td>
        <td>
          <BandGauge
            v-if="reading.key !== 'polarity'"
            :value="scaled(reading, reading.value)"
            :low="scaled(reading, reading.low)"
            :high="scaled(reading, reading.high)"
            :limit="scaled(reading, reading.limit?.value)"
            :limit-kind="reading.limit?.kind"
            :label="band(reading)"
          />
        </td>
      </tr>
    </tbody>
  </table>
</template>

<style scoped>
.grid-table td {
  padding: 4px 8px;
}
.value {
  font-size: 15.5px;
  font-weight: var(--heavy);
}
.how {
  font-size: 13.5px;
}
.limit {
  color: var(--madder-text);
  margin-left: 8px;
  white-space: nowrap;
}
</style>
