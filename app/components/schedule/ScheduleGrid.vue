<script setup lang="ts">
import { quantityOf, isTick, kindOf } from '#core/testing/kinds/kinds'
import { whyKey } from '#core/testing/readings'
import { readingText } from '#words/testing'
import { QUANTITIES } from '#core/units/quantity'
import type { TestView } from '#schemas/schedule-views'

/**
 * The whole schedule of a stage at once, for the keyboard: a row for each circuit, its furthest point in
 * front, its other points on request.
 */
const props = defineProps<{
  tests: ReturnType<typeof useBoardTests>
  read: (key: string) => string
  locked: boolean
  missing: readonly string[]
}>()
const emit = defineEmits<{ write: [key: string, text: string] }>()
const open = ref<string | null>(null)
const body = ref<HTMLElement>()

const head = (kind: string) => ({
  symbol: kindOf(kind).symbol,
  unit: isTick(kind) ? '' : QUANTITIES[quantityOf(kind)].unit,
})
const label = (test: TestView) =>
  `${readingText(test.key).name}${test.pointName ? `, ${test.pointName}` : ''}`
const isMissing = (key: string) => props.missing.includes(key)
/** Up and down within a column, over rows that have no such test. */
function move(key: string, isDown: boolean): void {
  const cells = [...(body.value?.querySelectorAll<HTMLElement>('[data-cell]') ?? [])]
  const from = cells.find((cell) => cell.dataset.cell === key)
  const column = from?.closest<HTMLElement>('[data-column]')?.dataset.column
  const same = cells.filter((cell) => cell.closest<HTMLElement>('[data-column]')?.dataset.column === column)
  same[same.indexOf(from!) + (isDown ? 1 : -1)]?.focus()
}
</script>

<template>
  <div ref="body" class="wrap" tabindex="0" role="region" aria-label="Schedule of circuits and results">
    <div v-if="tests.ofSupply.value.length" class="supply">
      <label v-for="test in tests.ofSupply.value" :key="test.key"
        ><span
          >{{ readingText(test.key).name }}
          <span class="soft mono"
            >{{ head(test.kind).symbol
            }}<template v-if="head(test.kind).unit">, {{ head(test.kind).unit }}</template></span
          ></span
        >
        <ScheduleCell
          :test="test"
          :model-value="read(test.key)"
          :label="label(test)"
          :locked="locked"
          :bad="tests.isBad(test.key) || isMissing(test.key)"
          :owes="tests.owesReason(test.key)"
          @update:model-value="emit('write', test.key, $event)"
        />
        <input
          v-if="tests.isFilled(test.key) && read(test.key).trim().match(/^[nl]/i)"
          class="why"
          :value="read(whyKey(test.key))"
          placeholder="why left out"
          :aria-label="`Reason, ${label(test)}`"
          @input="emit('write', whyKey(test.key), ($event.target as HTMLInputElement).value)"
        />
      </label>
    </div>
    <table>
      <thead>
        <tr>
          <th scope="col">Circuit</th>
          <th
            v-for="kind in tests.columns.value"
            :key="kind"
            scope="col"
            class="num"
            :title="readingText(kind).how"
          >
            {{ head(kind).symbol }}<small>{{ head(kind).unit || '✓ ✗' }}</small>
          </th>
          <th scope="col"><span class="visually-hidden">Other points</span></th>
        </tr>
      </thead>
      <tbody v-for="{ circuit, cells, more } in tests.rows.value" :key="circuit.id">
        <tr>
          <th scope="row">
            <b>{{ circuit.name }}</b><small>{{ circuit.device }} · {{ circuit.conductors }}</small>
          </th>
          <td
            v-for="(test, i) in cells"
            :key="i"
            :class="{ none: !test }"
            :data-column="tests.columns.value[i]"
          >
            <ScheduleCell
              v-if="test"
              :test="test"
              :model-value="read(test.key)"
              :label="`${circuit.name}: ${label(test)}`"
              :locked="locked"
              :bad="tests.isBad(test.key) || isMissing(test.key)"
              :owes="tests.owesReason(test.key)"
              @update:model-value="emit('write', test.key, $event)"
              @move="move(test.key, $event)"
            />
          </td>
          <td class="points">
            <button
              v-if="more.length"
              type="button"
              :aria-expanded="open === circuit.id"
              @click="open = open === circuit.id ? null : circuit.id"
            >
              {{ open === circuit.id ? 'Close' : 'Points' }}
            </button>
          </td>
        </tr>
        <tr
          v-for="test in cells.filter(
            (cell): cell is TestView => Boolean(cell) && /^[nl]/i.test(read(cell!.key).trim()),
          )"
          :key="`why ${test.key}`"
          class="reason"
        >
          <th scope="row">
            <small>{{ readingText(test.key).name }} left out, because</small>
          </th>
          <td :colspan="tests.columns.value.length + 1">
            <input
              class="why"
              :value="read(whyKey(test.key))"
              :name="whyKey(test.key)"
              :aria-label="`Reason, ${circuit.name}, ${label(test)}`"
              maxlength="200"
              :disabled="locked"
              @input="emit('write', whyKey(test.key), ($event.target as HTMLInputElement).value)"
            />
          </td>
        </tr>
        <tr v-if="open === circuit.id" class="more">
          <th scope="row">
            <small
              >Other points of {{ circuit.name }}: not asked, but they show where something is wrong.</small
            >
          </th>
          <td :colspan="tests.columns.value.length + 1">
            <div class="boxes">
              <label v-for="test in more" :key="test.key"
                ><small>{{ kindOf(test.key).symbol }} · {{ test.pointName }}</small
                ><ScheduleCell
                  :test="test"
                  :model-value="read(test.key)"
                  :label="`${circuit.name}: ${label(test)}`"
                  :locked="locked"
                  :bad="tests.isBad(test.key)"
                  :owes="tests.owesReason(test.key)"
                  @update:model-value="emit('write', test.key, $event)"
              /></label>
            </div>
          </td>
        </tr>
      </tbody>
    </table>
  </div>
</template>

<style scoped>
.wrap {
  overflow: auto;
  min-height: 0;
}
.supply {
  display: flex;
  gap: 10px 18px;
  flex-wrap: wrap;
  padding: 2px 0 12px;
}
.supply label {
  display: grid;
  gap: 2px;
  width: 216px;
  font-size: 14px;
  font-weight: var(--strong);
}
.supply .cell {
  border: 1px solid var(--hem-strong);
  background: var(--raised);
}
table {
  border-collapse: collapse;
  width: 100%;
}
thead th {
  position: sticky;
  top: 0;
  background: var(--panel);
  z-index: 1;
  font: var(--strong) 15px var(--mono);
  padding: 4px 8px;
  border-bottom: 2px solid var(--indigo);
  text-align: left;
}
thead .num {
  text-align: right;
  min-width: 84px;
}
th small {
  display: block;
  font: var(--mid) 12.5px var(--font);
  color: var(--soft);
}
tbody th {
  text-align: left;
  font-weight: var(--strong);
  padding: 5px 10px 5px 4px;
  min-width: 210px;
  max-width: 300px;
  line-height: 1.2;
}
tbody tr:first-child {
  border-top: 1px solid var(--hem);
}
td {
  padding: 0;
  border-left: 1px solid var(--hem);
}
td.none {
  background: repeating-linear-gradient(135deg, transparent 0 5px, var(--hem) 5px 6px);
  opacity: 0.6;
}
.points button {
  all: unset;
  cursor: pointer;
  min-height: 42px;
  padding: 0 10px;
  color: var(--indigo-text);
  font-weight: var(--strong);
  font-size: 14px;
  text-decoration: underline;
  text-underline-offset: 3px;
}
.points button:focus-visible {
  outline: 2.5px solid var(--indigo);
  outline-offset: -2px;
}
.why {
  width: 100%;
  min-height: 38px;
  border: 0;
  border-bottom: 2px solid var(--turmeric);
  background: var(--raised);
  color: var(--ink);
  font: var(--mid) 15px var(--font);
  padding: 4px 8px;
}
.boxes {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(132px, 1fr));
  gap: 8px;
  padding: 8px;
}
.boxes label {
  border: 1px solid var(--hem);
  padding: 4px 0 0;
  background: var(--raised);
}
.boxes small {
  padding: 0 8px;
  color: var(--soft);
  font-size: 12.5px;
}
.more th,
.reason th {
  vertical-align: top;
  padding-top: 10px;
  font-weight: var(--mid);
}
</style>
