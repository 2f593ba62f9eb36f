<script setup lang="ts">
import { BookOpen, Calculator, Workflow } from '@lucide/vue'

/** Over a design sheet: its circuits and boards, and what helps beside it. */
defineProps<{
  scopes: readonly {
    readonly id: string
    readonly name: string
    readonly answered: number
    readonly steps: number
    readonly hasMissing: boolean
  }[]
  current: string
  isLibraryOpen: boolean
}>()
const emit = defineEmits<{ pick: [scope: string]; open: [tool: 'laws' | 'library' | 'diagram'] }>()
</script>

<template>
  <div class="tools">
    <ScopeTabs v-if="scopes.length > 1" :scopes="scopes" :current="current" @pick="emit('pick', $event)" />
    <span class="grow" />
    <el-button v-if="scopes.length > 1" aria-label="Diagram" title="Diagram" @click="emit('open', 'diagram')"
      ><Workflow :size="22"
    /></el-button>
    <el-button aria-label="Calculator" title="Calculator" @click="emit('open', 'laws')"
      ><Calculator :size="22"
    /></el-button>
    <el-button
      v-if="isLibraryOpen"
      aria-label="Library"
      title="Reference library"
      @click="emit('open', 'library')"
      ><BookOpen :size="22"
    /></el-button>
  </div>
</template>

<style scoped>
.tools {
  display: flex;
  gap: 8px;
  align-items: center;
  min-width: 0;
}
.tools > :first-child {
  min-width: 0;
}
.tools :deep(.el-button) {
  padding-inline: 14px;
}
.grow {
  flex: 1;
}
</style>
