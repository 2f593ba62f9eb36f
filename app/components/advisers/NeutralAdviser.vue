<script setup lang="ts">
import { adviseNeutral, type LineLoad } from '#core/design/advisers/neutral'
import { formatNumber, formatQuantity } from '#core/units/format'

/** Neutral current of unequal lines, with third harmonics, and the factor for a four- or five-core cable. */
const lines = reactive<[LineLoad, LineLoad, LineLoad]>([
  { ampere: 32, powerFactor: 1 },
  { ampere: 20, powerFactor: 1 },
  { ampere: 10, powerFactor: 1 },
])
const percent = ref(0)
const advice = computed(() => adviseNeutral({ lines, thirdHarmonic: percent.value / 100 }))
const amps = (ampere: number) => formatQuantity(ampere, 'current')
const write = (i: number, parts: Partial<LineLoad>) => (lines[i] = { ...lines[i]!, ...parts })
</script>

<template>
  <AdviserSheet>
    <template #questions>
      <template v-for="(load, i) in lines" :key="i">
        <FormBox :name="`L${i + 1}`" symbol="A"
          ><el-input-number
            :model-value="load.ampere"
            :min="0"
            :max="800"
            :aria-label="`Current of L${i + 1}, A`"
            @update:model-value="write(i, { ampere: $event ?? 0 })"
        /></FormBox>
        <FormBox name="Power factor"
          ><el-input-number
            :model-value="load.powerFactor"
            :min="0.1"
            :max="1"
            :step="0.05"
            :aria-label="`Power factor of L${i + 1}`"
            @update:model-value="write(i, { powerFactor: $event ?? 1 })"
        /></FormBox>
      </template>
      <FormBox name="Third harmonic" symbol="%"
        ><el-input-number v-model="percent" :min="0" :max="100" :step="5" aria-label="Third harmonic, %"
      /></FormBox>
    </template>
    <template #answer>
      <h2 data-testid="neutral">Neutral: {{ amps(advice.neutralA) }}</h2>
      <p class="mono">Phasor sum of the lines {{ amps(advice.fundamentalA) }}</p>
      <p class="mono">Third harmonics, which add up {{ amps(advice.harmonicA) }}</p>
      <p>
        Size by the <b>{{ advice.sizedBy }}</b>, factor {{ formatNumber(advice.factor, 'factor') }}: the table
        must carry <b class="mono">{{ amps(advice.tabulatedA) }}</b> in a four- or five-core cable.
      </p>
      <p class="soft">
        BS 7671 Appendix 4, section 5.5, from memory: read the current edition. Lines at 120° to each other,
        power factors lagging.
      </p>
    </template>
  </AdviserSheet>
</template>
