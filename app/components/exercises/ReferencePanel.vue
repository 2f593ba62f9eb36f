<script setup lang="ts">
import { STEP_KINDS } from '#core/design/step-kinds'
import type { ReferenceDesign } from '#core/design/reference'
import { shortSource, sourceLine } from '#core/regulations/source'
import type { Finding } from '#core/findings/finding'
import type { ExpectedReading } from '#core/results/expected'
import { readingKind } from '#core/results/readings'
import { constraintSentence } from '#core/texts/constraints'
import { findingSentence } from '#core/texts/findings'
import { READING_TEXT, STEP_TEXT } from '#core/texts/steps'
import { formatNumber, formatQuantity } from '#core/units/format'
import { QUANTITIES } from '#core/units/quantity'
import { stepValue } from '~/texts/marks'

defineProps<{ design: ReferenceDesign; advice: readonly Finding[]; readings: readonly ExpectedReading[] }>()

const quantity = (reading: ExpectedReading) => readingKind(reading.key).quantity
const scaled = (reading: ExpectedReading, value: number | undefined) => (value === undefined ? undefined : value * QUANTITIES[quantity(reading)].scale)
const band = (reading: ExpectedReading) =>
  reading.key === 'polarity' ? '✓' : reading.high === undefined ? `≥ ${formatQuantity(reading.low, quantity(reading))}` : `${formatNumber(reading.low, quantity(reading))} – ${formatQuantity(reading.high, quantity(reading))}`
const limit = (reading: ExpectedReading) => (reading.limit ? `${reading.limit.kind === 'maximum' ? '≤' : '≥'} ${formatQuantity(reading.limit.value, quantity(reading))}` : '')
</script>

<template>
  <div class="stack">
    <div v-if="!design.ok" class="stitched stop" role="alert" data-testid="no-solution">
      <b>No solution, at {{ STEP_TEXT[design.at].name.toLowerCase() }}</b>
      <p>{{ constraintSentence(design.constraint) }}</p>
    </div>
    <div v-if="advice.length" class="stitched waiting small" data-testid="advice"><p v-for="finding in advice" :key="finding.code">{{ findingSentence(finding) }}</p></div>
    <table class="grid-table" data-testid="reference">
      <thead><tr><th>Reference design</th><th class="num">Value</th><th>How</th><th>Where it stands</th></tr></thead>
      <tbody>
        <tr v-for="step in design.steps" :key="step.key" :data-step="step.key">
          <td><b>{{ STEP_TEXT[step.key].name }}</b> <span class="sym">{{ STEP_KINDS[step.key].symbol }}</span></td>
          <td class="num value">{{ stepValue(step.key, step.value) }}</td>
          <td class="how mono">{{ step.working }}</td>
          <td class="source" :title="sourceLine(step.source)">{{ shortSource(step.source) }}</td>
        </tr>
      </tbody>
    </table>
    <p class="small soft">BS 7671:2018+A2:2022 and its On-Site Guide (OSG). Values were written down from memory: check them against your own copy.</p>
    <table v-if="readings.length" class="grid-table" data-testid="expected">
      <thead><tr><th>Expected reading</th><th class="num">Value</th><th>Band and limit</th><th /></tr></thead>
      <tbody>
        <tr v-for="reading in readings" :key="reading.key">
          <td><b>{{ READING_TEXT[reading.key].name }}</b> <span class="sym">{{ readingKind(reading.key).symbol }}</span></td>
          <td class="num value">{{ reading.value === undefined ? '' : formatQuantity(reading.value, quantity(reading)) }}</td>
          <td class="mono how">{{ band(reading) }} <span v-if="limit(reading)" class="limit">{{ limit(reading) }}</span></td>
          <td>
            <BandGauge
              v-if="reading.key !== 'polarity'" :value="scaled(reading, reading.value)" :low="scaled(reading, reading.low)" :high="scaled(reading, reading.high)"
              :limit="scaled(reading, reading.limit?.value)" :limit-kind="reading.limit?.kind" :label="band(reading)"
            />
          </td>
        </tr>
      </tbody>
    </table>
  </div>
</template>

<style scoped>
.grid-table td { padding: 5px 8px; }
.value { font-size: 16px; font-weight: 680; }
.how { font-size: 13.5px; }
.source { font-size: 12.5px; color: var(--soft); line-height: 1.25; max-width: 250px; }
.limit { color: var(--madder-text); margin-left: 8px; white-space: nowrap; }
</style>
