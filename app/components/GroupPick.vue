<script setup lang="ts">
/** Of several groups the one that is looked at. */
defineProps<{ cohorts: readonly string[]; cohort: string }>()
const emit = defineEmits<{ pick: [cohort: string] }>()
</script>

<template>
  <el-select
    v-if="cohorts.length > 1"
    :model-value="cohort"
    filterable
    :empty-values="[null, undefined]"
    aria-label="Group"
    data-testid="group-pick"
    style="width: 230px"
    @update:model-value="emit('pick', $event)"
  >
    <el-option v-for="name in cohorts" :key="name" :value="name" :label="name || 'All groups'" />
  </el-select>
</template>
