<script setup lang="ts" generic="T extends string">
/** The parts of one page, one shown at a time; what belongs to all of them stands at the end of the line. */
defineProps<{ parts: readonly (readonly [key: T, name: string])[]; label: string }>()
const part = defineModel<T>({ required: true })
</script>

<template>
  <nav class="tabs" role="tablist" :aria-label="label">
    <button
      v-for="[key, name] in parts"
      :key="key"
      type="button"
      role="tab"
      :aria-selected="part === key"
      :class="{ on: part === key }"
      :data-testid="`tab-${key}`"
      @click="part = key"
    >
      {{ name }}
    </button>
    <span class="grow" />
    <slot />
  </nav>
</template>

<style scoped>
.tabs {
  display: flex;
  gap: 2px;
  align-items: flex-end;
  border-bottom: 1.5px solid var(--ink);
  position: relative;
  flex-wrap: wrap;
}
button {
  all: unset;
  cursor: pointer;
  padding: 9px 14px;
  font-weight: var(--strong);
  color: var(--soft);
  border-bottom: 4px solid transparent;
}
button.on {
  color: var(--indigo-text);
  border-bottom-color: var(--turmeric);
}
button:focus-visible {
  outline: 2px solid var(--indigo);
}
.grow {
  flex: 1;
}
</style>
