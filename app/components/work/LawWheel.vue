<script setup lang="ts">
import { WHEEL, solveWheel, type WheelKey } from '#core/design/calculator/laws'
import { formatNumber } from '#core/units/format'
import { parseQuantity } from '#core/units/parse'
import type { QuantityKey } from '#core/units/quantity'

/** Ohm's law and power the way they are taught: fill in two, read the other two with the formula that gave them. */
const NAME: Readonly<Record<WheelKey, { name: string; unit: string; quantity: QuantityKey }>> = {
  V: { name: 'Voltage', unit: 'V', quantity: 'voltage' },
  I: { name: 'Current', unit: 'A', quantity: 'current' },
  R: { name: 'Resistance', unit: 'Ω', quantity: 'resistance' },
  P: { name: 'Power', unit: 'W', quantity: 'power' },
}
const text = reactive<Record<WheelKey, string>>({ V: '230', I: '', R: '', P: '' })
/** The two filled in last; a third takes the place of the oldest. */
const order = ref<WheelKey[]>(['V'])
function write(key: WheelKey, value: string) {
  text[key] = value
  order.value = order.value.filter((other) => other !== key)
  if (value.trim() === '') return
  order.value.push(key)
  if (order.value.length > 2) text[order.value.shift()!] = ''
}
const given = computed(() =>
  Object.fromEntries(
    order.value.flatMap((key) => {
      const read = parseQuantity(text[key], NAME[key].quantity)
      return read.ok ? [[key, read.value]] : []
    }),
  ),
)
const solved = computed(() => solveWheel(given.value))
function shown(key: WheelKey): string {
  if (order.value.includes(key)) return text[key]
  return solved.value ? formatNumber(solved.value.values[key], NAME[key].quantity) : ''
}
</script>

<template>
  <div class="wheel">
    <p class="soft">
      Fill in two; the other two follow. Single phase with power factor 1, or direct current.
    </p>
    <div class="grid">
      <label v-for="key in WHEEL" :key="key" :class="{ given: order.includes(key) }">
        <b
          >{{ NAME[key].name }} <span class="sym">{{ key }}</span></b
        >
        <el-input
          size="large"
          :model-value="shown(key)"
          :name="`wheel-${key}`"
          inputmode="decimal"
          autocomplete="off"
          @update:model-value="write(key, $event)"
          ><template #suffix>{{ NAME[key].unit }}</template></el-input
        >
      </label>
    </div>
    <ul v-if="solved">
      <li v-for="step in solved.steps" :key="step.key">
        <span class="mono">{{ step.formula }}</span> = <span class="mono">{{ step.working }}</span> =
        <b class="mono"
          >{{ formatNumber(solved.values[step.key], NAME[step.key].quantity) }} {{ NAME[step.key].unit }}</b
        >
      </li>
    </ul>
    <svg viewBox="0 0 300 130" role="img" aria-label="Two triangles: V over I and R, P over V and I">
      <g
        v-for="(tri, n) in [
          ['V', 'I', 'R'],
          ['P', 'V', 'I'],
        ]"
        :key="n"
        :transform="`translate(${20 + n * 145} 8)`"
      >
        <path d="M60 4L116 108H4Z" />
        <line x1="29" x2="91" y1="60" y2="60" />
        <line x1="60" x2="60" y1="60" y2="108" />
        <text x="60" y="46">{{ tri[0] }}</text>
        <text x="36" y="94">{{ tri[1] }}</text>
        <text x="84" y="94">{{ tri[2] }}</text>
      </g>
    </svg>
    <p class="soft small">
      Cover what you look for: side by side is multiplied, one over the other is divided.
    </p>
  </div>
</template>

<style scoped>
.wheel {
  display: flex;
  flex-direction: column;
  gap: 14px;
}
.grid {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 12px;
}
label {
  display: flex;
  flex-direction: column;
  gap: 4px;
}
label :deep(input) {
  font: var(--strong) 19px var(--mono);
}
.given b {
  color: var(--indigo-text);
}
ul {
  list-style: none;
  margin: 0;
  padding: 0;
  display: flex;
  flex-direction: column;
  gap: 6px;
  font-size: 16px;
}
svg {
  max-width: 320px;
}
path,
line {
  fill: none;
  stroke: var(--ink);
  stroke-width: 2;
}
text {
  font: var(--heavy) 24px var(--mono);
  text-anchor: middle;
  fill: var(--indigo-text);
}
</style>
