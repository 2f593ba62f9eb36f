<script setup lang="ts">
/** One labelled box of the builder with its problem under it. */
const { box } = defineProps<{
  name: string
  symbol?: string
  problem?: string
  wide?: boolean
  /** Its name in the form, where it may come from a survey. */
  box?: string
}>()
const origin = useSurveyOrigin(() => box)
</script>

<template>
  <label class="box" :class="{ wide, bad: problem }" :title="origin">
    <span class="label"
      >{{ name }} <span v-if="symbol" class="sym">{{ symbol }}</span>
      <span v-if="origin" class="surveyed" role="img" :aria-label="origin">◈</span></span
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
  font-weight: var(--strong);
}
.problem {
  color: var(--madder-text);
  font-size: 13px;
  line-height: 1.25;
}
.surveyed {
  color: var(--turmeric-text);
}
.bad :deep(.el-input__wrapper),
.bad :deep(.el-select__wrapper) {
  box-shadow: 0 0 0 1.5px var(--madder) inset;
}
</style>
