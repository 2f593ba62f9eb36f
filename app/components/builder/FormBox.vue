<script setup lang="ts">
/** One labelled box of the builder with its problem under it. */
defineProps<{ name: string; symbol?: string; problem?: string; wide?: boolean }>()
</script>

<template>
  <label class="box" :class="{ wide, bad: problem }">
    <span class="label"
      >{{ name }} <span v-if="symbol" class="sym">{{ symbol }}</span></span
    >
    <slot />
    <span v-if="problem" class="problem" role="alert">{{ problem }}</span>
  </label>
</template>

<style scoped>
.box {
  display: flex;
  flex-direction: column;
  gap: 2px;
  min-width: 0;
}
.wide {
  grid-column: 1 / -1;
}
.label {
  font-size: 13.5px;
  font-weight: 600;
}
.problem {
  color: var(--madder-text);
  font-size: 13px;
  line-height: 1.25;
}
.bad :deep(.el-input__wrapper),
.bad :deep(.el-select__wrapper) {
  box-shadow: 0 0 0 1.5px var(--madder) inset;
}
</style>
