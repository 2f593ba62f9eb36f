<script setup lang="ts">
import { adviseLeakage } from '#core/design/advisers/leakage'
import { USUAL_LEAKAGE_A, type LeakageItem } from '#core/regulations/leakage'
import { LEAKAGE_NAME } from '#words/advisers'

/** Standing leakage of what is behind one RCD, against 30 % of IΔn. */
const ITEMS = Object.keys(USUAL_LEAKAGE_A) as LeakageItem[]
const none = Object.fromEntries(ITEMS.map((item) => [item, 0])) as Record<LeakageItem, number>
const items = reactive({ ...none, computer: 4, ledDriver: 4 })
const heating = reactive({ count: 0, eachKw: 2 })
const rated = ref('0.03')
const RATINGS = { '0.01': '10 mA', '0.03': '30 mA', '0.1': '100 mA', '0.3': '300 mA' }
const advice = computed(() =>
  adviseLeakage({
    items,
    heating: { count: heating.count, eachW: heating.eachKw * 1e3 },
    ratedA: Number(rated.value),
  }),
)
/** To a hundredth: some equipment leaks a quarter of a milliampere. */
const inMilliamps = (ampere: number) => `${Number((ampere * 1e3).toFixed(2))} mA`
</script>

<template>
  <AdviserSheet>
    <template #questions>
      <FormBox name="Rated residual current"
        ><el-select v-model="rated" aria-label="Rated residual current"
          ><el-option
            v-for="(label, value) in RATINGS"
            :key="value"
            :value="value"
            :label="label" /></el-select
      ></FormBox>
      <span />
      <FormBox name="Heating appliances"
        ><el-input-number v-model="heating.count" :min="0" :max="50" aria-label="Heating appliances"
      /></FormBox>
      <FormBox name="Power of each" symbol="kW"
        ><el-input-number
          v-model="heating.eachKw"
          :min="0.5"
          :max="24"
          :step="0.5"
          aria-label="Power of each heating appliance, kW"
      /></FormBox>
      <FormBox v-for="item in ITEMS" :key="item" :name="LEAKAGE_NAME[item]"
        ><el-input-number v-model="items[item]" :min="0" :max="200" :aria-label="LEAKAGE_NAME[item]"
      /></FormBox>
    </template>
    <template #answer>
      <h2 data-testid="leakage">
        {{ inMilliamps(advice.totalA) }} of {{ inMilliamps(advice.limitA) }}:
        {{ advice.isKept ? 'within 30 % of IΔn' : `share it over ${advice.shares} RCDs` }}
      </h2>
      <table>
        <tbody>
          <tr v-for="line in advice.lines" :key="line.item">
            <th scope="row">{{ LEAKAGE_NAME[line.item] }}</th>
            <td class="num mono">{{ line.count }}</td>
            <td class="num mono">{{ inMilliamps(line.ampere) }}</td>
          </tr>
        </tbody>
      </table>
      <p class="soft">
        Accumulated leakage downstream of an RCD is at most 30 % of IΔn (BS 7671 531.3.2, from memory). Usual
        figures, added as if they were in phase: measure the installation where it matters.
      </p>
    </template>
  </AdviserSheet>
</template>

<style scoped>
table {
  border-collapse: collapse;
  max-width: 460px;
}
th {
  text-align: left;
  font-weight: var(--mid);
}
td,
th {
  padding: 5px 0;
  border-bottom: 1px solid var(--hem);
}
.num {
  text-align: right;
  padding-left: 24px;
}
</style>
