<script setup lang="ts">
import type { Fact } from '~/texts/task-facts'

defineProps<{ facts: readonly Fact[] }>()
</script>

<template>
  <dl class="facts">
    <div v-for="fact in facts" :key="fact.name">
      <dt>
        {{ fact.name }} <span v-if="fact.symbol" class="sym">{{ fact.symbol }}</span>
      </dt>
      <dd>{{ fact.value }}</dd>
    </div>
  </dl>
</template>

<style scoped>
.facts {
  margin: 0;
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(270px, 1fr));
  column-gap: 28px;
}
.facts > div {
  display: flex;
  justify-content: space-between;
  gap: 14px;
  align-items: baseline;
  padding: 6px 0;
  border-bottom: 1px solid var(--hem);
}
dt {
  color: var(--soft);
  font-size: 14.5px;
}
dd {
  margin: 0;
  font-weight: var(--strong);
  text-align: right;
}
</style>
