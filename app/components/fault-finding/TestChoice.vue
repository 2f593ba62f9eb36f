<script setup lang="ts">
import type { FaultFindingView } from '#schemas/fault-finding-views'

/** The tests of one circuit: those at the board together, then a row for each kind with a button for each point. */
const props = defineProps<{ tests: FaultFindingView['tests']; isDead: boolean; isBusy: boolean }>()
const emit = defineEmits<{ measure: [test: string] }>()

const circuits = computed(() => [...new Set(props.tests.map(({ circuit }) => circuit))])
const circuit = ref('')
const shown = computed(() => circuit.value || circuits.value[0])
const AT_BOARD = 'at the board'
const rows = computed(() => {
  const byRow = new Map<string, { readonly key: string; readonly words: string; readonly name: string }[]>()
  for (const { key, name, where, circuit: own, isDead } of props.tests) {
    if (own !== shown.value || isDead !== props.isDead) continue
    const row = where === AT_BOARD ? 'At the board' : name
    byRow.set(row, [
      ...(byRow.get(row) ?? []),
      { key, words: where === AT_BOARD ? name : where, name: `${name}, ${where}` },
    ])
  }
  return [...byRow]
})
</script>

<template>
  <div class="circuits">
    <button
      v-for="one in circuits"
      :key="one"
      type="button"
      :class="{ on: shown === one }"
      :aria-pressed="shown === one"
      @click="circuit = one"
    >
      {{ one }}
    </button>
  </div>
  <dl>
    <div v-for="[name, own] in rows" :key="name">
      <dt>{{ name }}</dt>
      <dd>
        <button
          v-for="test in own"
          :key="test.key"
          type="button"
          :disabled="isBusy"
          :data-testid="`test-${test.key}`"
          :aria-label="test.name"
          @click="emit('measure', test.key)"
        >
          {{ test.words }}
        </button>
      </dd>
    </div>
  </dl>
</template>

<style scoped>
button {
  all: unset;
  box-sizing: border-box;
  cursor: pointer;
  padding: 10px 14px;
  min-height: 48px;
  border: 1px solid var(--hem-strong);
  background: var(--raised);
  font-weight: var(--strong);
  display: inline-flex;
  align-items: center;
}
button:focus-visible {
  outline: 2.5px solid var(--indigo);
  outline-offset: 1px;
}
.circuits {
  display: flex;
  gap: 6px;
  flex-wrap: wrap;
}
.circuits .on {
  border: 2px solid var(--indigo);
  background: var(--indigo-wash);
}
dl {
  margin: 0;
  display: grid;
}
dl > div {
  display: grid;
  grid-template-columns: 190px minmax(0, 1fr);
  gap: 12px;
  align-items: center;
  border-top: 1px solid var(--hem);
  padding: 6px 0;
}
dt {
  line-height: 1.2;
  font-weight: var(--strong);
}
dd {
  margin: 0;
  display: flex;
  gap: 6px;
  flex-wrap: wrap;
}
dd button {
  font-size: 15px;
  font-weight: var(--strong);
  padding: 8px 11px;
}
</style>
