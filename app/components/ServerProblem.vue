<script setup lang="ts">
defineProps<{ problem: { message: string } }>()
const emit = defineEmits<{ retry: [] }>()
</script>

<template>
  <div class="stitched stop row spread" role="alert">
    <span>{{ problem.message }}</span>
    <el-button @click="emit('retry')">Try again</el-button>
  </div>
</template>
