<script setup lang="ts">
import type { Conflict } from '#core/exercise/three-way-merge'

/** Both sides of every field that two people changed differently; nothing is dropped until somebody chooses. */
defineProps<{ conflicts: readonly Conflict[]; nameOf: (field: string) => string; title: string }>()
const emit = defineEmits<{ choose: [field: string, text: string] }>()
</script>

<template>
  <el-dialog
    :model-value="conflicts.length > 0"
    :title="title"
    width="620px"
    :show-close="false"
    :close-on-click-modal="false"
    :close-on-press-escape="false"
  >
    <p>Both are kept until you choose. Everything else has been put together already.</p>
    <div v-for="conflict in conflicts" :key="conflict.field" class="conflict">
      <h3>{{ nameOf(conflict.field) }}</h3>
      <div class="row">
        <el-button type="primary" @click="emit('choose', conflict.field, conflict.mine)"
          >Keep mine: {{ conflict.mine || 'empty' }}</el-button
        >
        <el-button @click="emit('choose', conflict.field, conflict.theirs)"
          >Take theirs: {{ conflict.theirs || 'empty' }}</el-button
        >
      </div>
    </div>
  </el-dialog>
</template>

<style scoped>
.conflict {
  padding: 12px 0;
  border-top: 1px solid var(--hem);
  margin-top: 12px;
  display: flex;
  flex-direction: column;
  gap: 8px;
}
.conflict :deep(.el-button) {
  height: auto;
  min-height: 40px;
  white-space: normal;
  text-align: left;
}
</style>
