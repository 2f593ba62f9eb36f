<script setup lang="ts">
/** A labelled figure between two ends; an emptied box keeps the last one. */
const { step = 1 } = defineProps<{
  label: string
  min: number
  max: number
  step?: number
  testId?: string
}>()
const figure = defineModel<number>({ required: true })
</script>

<template>
  <label class="field"
    ><span>{{ label }}</span
    ><el-input-number
      :model-value="figure"
      :min="min"
      :max="max"
      :step="step"
      :aria-label="label"
      :data-testid="testId"
      @update:model-value="figure = $event ?? figure"
  /></label>
</template>
