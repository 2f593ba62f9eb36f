<script setup lang="ts">
/** Boxes that need a look before an exercise can be saved. */
defineProps<{ open: readonly { readonly key: string; readonly text: string }[] }>()
</script>

<template>
  <details class="open">
    <summary>{{ open.length }} to look at</summary>
    <ul>
      <li v-for="entry in open" :key="entry.key">{{ entry.text }}</li>
    </ul>
  </details>
</template>

<style scoped>
.open {
  font-size: 14px;
  color: var(--madder-text);
  padding: 6px 0;
}
.open summary {
  cursor: pointer;
  font-weight: var(--strong);
}
.open ul {
  position: absolute;
  right: 0;
  z-index: 3;
  background: var(--raised);
  border: 1.5px dashed var(--madder);
  padding: 10px 14px 10px 30px;
  margin: 4px 0 0;
  max-width: 560px;
  color: var(--ink);
}
</style>
