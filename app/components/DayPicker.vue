<script setup lang="ts">
/** A day, typed as dd/mm/yyyy or picked; kept as `2026-11-27`. Empty where there is none. */
defineProps<{ modelValue: string; label: string; name?: string; disabled?: boolean; clearable?: boolean }>()
const emit = defineEmits<{ 'update:modelValue': [day: string] }>()
</script>

<template>
  <el-date-picker
    :model-value="modelValue"
    type="date"
    format="DD/MM/YYYY"
    value-format="YYYY-MM-DD"
    placeholder="dd/mm/yyyy"
    :aria-label="label"
    :name="name"
    :disabled="disabled"
    :clearable="clearable ?? false"
    style="width: 170px"
    @update:model-value="emit('update:modelValue', $event ?? '')"
  />
</template>
