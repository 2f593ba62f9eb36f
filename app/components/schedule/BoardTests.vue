<script setup lang="ts">
import type { BoardView } from '#schemas/schedule-views'

/**
 * The schedule of a whole board at one stage: at the bay one test after the other, at the desk as a grid; the
 * same boxes.
 */
const props = defineProps<{
  board: BoardView
  attempt: number
  isDead: boolean
  read: (key: string) => string
  locked: boolean
  missing: readonly string[]
}>()
const emit = defineEmits<{ write: [key: string, text: string] }>()
const tests = useBoardTests(() => ({
  board: props.board,
  isDead: props.isDead,
  read: props.read,
  write: (key, text) => emit('write', key, text),
}))
const profiles = useRingProfiles(() => ({
  tests: props.isDead ? props.board.tests : [],
  circuits: props.board.circuits,
  read: props.read,
}))
const mode = ref<'one' | 'grid'>('one')
const isFileOpen = ref(false)
const isRingOpen = ref(false)

function take(readings: readonly { key: string; text: string; at: string }[]) {
  for (const { key, text, at } of readings) {
    if (at) emit('write', `at:${key}`, at)
    emit('write', key, text)
  }
  isFileOpen.value = false
}
</script>

<template>
  <div class="board-tests">
    <h1 class="visually-hidden">{{ isDead ? 'Dead tests' : 'Live tests' }}</h1>
    <SheetHead
      :board="board"
      :attempt="attempt"
      :read="read"
      :locked="locked"
      :is-dead="isDead"
      @write="(key, text) => emit('write', key, text)"
      @file="isFileOpen = true"
    />
    <div class="row spread bar">
      <details class="ready">
        <summary>
          {{ isDead ? 'Before any dead test' : 'Before any live test' }}: {{ tests.ticked.value.size }} of
          {{ tests.checks.value.length }} checked
        </summary>
        <div class="checks">
          <el-checkbox
            v-for="check in tests.checks.value"
            :key="check.key"
            :model-value="tests.ticked.value.has(check.key)"
            :disabled="locked"
            :label="check.name"
            @change="tests.tick(check.key)"
          />
        </div>
      </details>
      <div class="row">
        <span data-testid="filled"
          ><b>{{ tests.filled.value }}</b> of {{ tests.asked.value.length }} filled</span
        >
        <el-button v-if="profiles.length" data-testid="round-the-ring" @click="isRingOpen = true"
          >Round the ring</el-button
        >
        <el-radio-group v-model="mode" aria-label="How to enter"
          ><el-radio-button value="one">One at a time</el-radio-button
          ><el-radio-button value="grid">Grid</el-radio-button></el-radio-group
        >
      </div>
    </div>
    <OneTest
      v-if="mode === 'one'"
      :tests="tests"
      :board="board"
      :read="read"
      :locked="locked"
      :missing="missing"
      @write="(key, text) => emit('write', key, text)"
    />
    <ScheduleGrid
      v-else
      :tests="tests"
      :read="read"
      :locked="locked"
      :missing="missing"
      @write="(key, text) => emit('write', key, text)"
    />
    <el-dialog v-model="isRingOpen" title="Steps 2 and 3 round the ring" width="800px">
      <div class="stack">
        <RingPicture v-for="profile in profiles" :key="profile.circuit" :profile="profile" />
      </div>
    </el-dialog>
    <ReadingsFile
      :open="isFileOpen"
      :attempt="attempt"
      :read="read"
      @close="isFileOpen = false"
      @take="take"
    />
  </div>
</template>

<style scoped>
.board-tests {
  display: flex;
  flex-direction: column;
  gap: 12px;
  min-height: 0;
}
.bar {
  align-items: flex-start;
  gap: 12px;
  border-bottom: 1.5px dashed var(--hem-strong);
  padding-bottom: 10px;
}
.bar > .row {
  gap: 16px;
}
summary {
  cursor: pointer;
  font-weight: var(--strong);
  color: var(--indigo-text);
  min-height: 36px;
  padding-top: 6px;
}
.checks {
  display: grid;
  gap: 2px;
}
.checks :deep(.el-checkbox) {
  min-height: 48px;
}
</style>
