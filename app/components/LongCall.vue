<script setup lang="ts">
/** How far the server has come with something, and a way to cancel it. */
defineProps<{ said: string; percent: number }>()
const emit = defineEmits<{ cancel: [] }>()
</script>

<template>
  <span class="row long" role="status">
    <span>{{ said }}</span>
    <el-progress class="bar" :percentage="percent" :stroke-width="8" :aria-label="said" />
    <el-button @click="emit('cancel')">Cancel</el-button>
  </span>
</template>

<style scoped>
.long {
  flex: 1;
  flex-wrap: nowrap;
  max-width: 520px;
}
.bar {
  flex: 1;
  min-width: 120px;
}
</style>
