<script setup lang="ts">
import { VueDraggable } from 'vue-draggable-plus'

/** Items to be put in order: dragged, or moved with the arrows beside them. */
const items = defineModel<string[]>({ required: true })
defineProps<{ locked?: boolean }>()
const said = ref('')

function move(i: number, by: -1 | 1): void {
  const to = i + by
  if (to < 0 || to >= items.value.length) return
  const next = [...items.value]
  ;[next[i], next[to]] = [next[to]!, next[i]!]
  items.value = next
  said.value = `${next[to]} is now number ${to + 1}`
}
</script>

<template>
  <VueDraggable v-model="items" tag="ol" :animation="120" :disabled="locked" class="order">
    <li v-for="(item, i) in items" :key="item">
      <span class="mono">{{ i + 1 }}</span>
      <b>{{ item }}</b>
      <span v-if="!locked" class="moves">
        <el-button :disabled="i === 0" :aria-label="`${item}: up`" @click="move(i, -1)">↑</el-button>
        <el-button :disabled="i === items.length - 1" :aria-label="`${item}: down`" @click="move(i, 1)"
          >↓</el-button
        >
      </span>
    </li>
  </VueDraggable>
  <p class="visually-hidden" aria-live="polite">{{ said }}</p>
</template>

<style scoped>
.order {
  list-style: none;
  padding: 0;
  margin: 0;
  display: grid;
  gap: 6px;
}
li {
  display: grid;
  grid-template-columns: 28px 1fr auto;
  align-items: center;
  gap: 10px;
  padding: 6px 8px 6px 12px;
  border: 1.5px dashed var(--hem-strong);
  border-radius: var(--ease);
  background: var(--raised);
  cursor: grab;
}
.moves {
  display: flex;
  gap: 4px;
}
.moves .el-button + .el-button {
  margin-left: 0;
}
</style>
