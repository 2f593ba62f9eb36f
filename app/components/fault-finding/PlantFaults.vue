<script setup lang="ts">
import { terminalWords, indexParts } from '#core/bay/model/terminals'

/** What can be wrong where somebody points; nowhere in particular, all of it. */
const { plant } = defineProps<{ plant: ReturnType<typeof usePlant> }>()
const { bay, pointed, aim, shown, isChosen, toggle } = plant

const where = computed(() => {
  if (!bay.value || !pointed.value) return null
  const { rig } = bay.value
  const { is, id } = pointed.value
  const parts = indexParts(rig)
  if (is === 'part') return parts.get(id)?.name ?? id
  if (is === 'terminal') return terminalWords(parts, id)
  const wire = rig.wires.find((one) => one.id === id)!
  return `${terminalWords(parts, wire.from)} – ${terminalWords(parts, wire.to)}`
})
</script>

<template>
  <section class="stack" aria-label="Faults">
    <div class="place">
      <h2>{{ where ?? 'Anywhere in the bay' }}</h2>
      <el-button v-if="where" size="small" text @click="pointed = null">Anywhere</el-button>
    </div>
    <el-select v-model="aim" aria-label="Aim" data-testid="plant-aim"
      ><el-option value="any" label="Every kind of fault" /><el-option
        v-for="one in bay?.aims ?? []"
        :key="one.code"
        :value="one.code"
        :label="one.name"
    /></el-select>
    <p v-if="shown.length === 0" class="soft">Nothing of this kind can be planted here. Point elsewhere.</p>
    <ul class="faults" data-testid="plant-faults">
      <li v-for="fault in shown" :key="fault.code + fault.place">
        <button type="button" :aria-pressed="isChosen(fault)" @click="toggle(fault)">
          <b>{{ fault.name }}</b> <span class="soft">{{ fault.where }}</span>
        </button>
      </li>
    </ul>
  </section>
</template>

<style scoped>
h2 {
  overflow-wrap: break-word;
}
.place {
  width: 100%;
  display: flex;
  justify-content: space-between;
  align-items: center;
  gap: 10px;
}
.faults {
  list-style: none;
  margin: 0;
  padding: 0;
  max-height: 300px;
  overflow: auto;
  border: 1px solid var(--hem);
  background: var(--panel);
}
.faults:empty {
  display: none;
}
button {
  all: unset;
  box-sizing: border-box;
  display: block;
  width: 100%;
  min-height: 44px;
  padding: 8px 12px;
  border-bottom: 1px solid var(--hem);
  border-left: 4px solid transparent;
  line-height: 1.3;
  cursor: pointer;
  font-size: 14.5px;
}
button[aria-pressed='true'] {
  background: var(--indigo-wash);
  border-left-color: var(--indigo);
}
button:focus-visible {
  outline: 2.5px solid var(--indigo);
  outline-offset: -3px;
}
</style>
