<script setup lang="ts">
import type { IsolationHome, RunMode, ScenarioItem } from '#schemas/isolation-views'

/** Rehearsals by level, and how somebody wants to go about one. */
defineProps<{ home: IsolationHome }>()
const { call } = useApi()
const LEVEL = { 'first-weeks': 'first weeks', first: 'first level', second: 'second level' } as const
const MODES: readonly { mode: RunMode; name: string; about: string }[] = [
  { mode: 'guided', name: 'Guided', about: 'The next step is named. For a first time.' },
  { mode: 'free', name: 'Free', about: 'No hints; try what you like.' },
  { mode: 'assessment', name: 'As in an assessment', about: 'No hints, one go, then the debrief.' },
]
const chosen = ref<ScenarioItem | null>(null)
async function start(mode: RunMode) {
  try {
    const { id } = await call<{ id: number }>('POST', 'isolation/runs', {
      scenario: chosen.value!.code,
      mode,
    })
    await navigateTo(`/practice/isolation/${id}`)
  } catch (error) {
    showProblem(error)
  }
}
</script>

<template>
  <div>
    <button
      v-for="one in home.scenarios"
      :key="one.code"
      type="button"
      class="entry"
      :data-testid="`scenario-${one.code}`"
      @click="chosen = one"
    >
      <span class="what"
        ><b>{{ one.title }}</b
        ><span class="soft small">{{ LEVEL[one.level] }}</span></span
      >
      <span v-if="one.tries" class="tag" :class="one.hasMet ? 'met' : 'waiting'">{{
        one.hasMet ? 'kept' : `tried ${one.tries === 1 ? 'once' : `${one.tries} times`}`
      }}</span>
    </button>
    <el-dialog
      :model-value="chosen !== null"
      :title="chosen?.title ?? ''"
      width="480px"
      @close="chosen = null"
    >
      <div class="stack">
        <button v-for="one in MODES" :key="one.mode" type="button" class="mode" @click="start(one.mode)">
          <b>{{ one.name }}</b><span class="soft">{{ one.about }}</span>
        </button>
      </div>
    </el-dialog>
  </div>
</template>

<style scoped>
.entry {
  all: unset;
  box-sizing: border-box;
  width: 100%;
  cursor: pointer;
  display: flex;
  gap: 14px;
  align-items: center;
  padding: 9px 14px;
  min-height: 62px;
  border-bottom: 1px solid var(--hem);
  background: var(--panel);
}
.entry:first-of-type {
  border-top: 1.5px solid var(--ink);
}
.entry:hover {
  background: var(--indigo-wash);
}
.entry:focus-visible,
.mode:focus-visible {
  outline: 2.5px solid var(--indigo);
  outline-offset: -2px;
}
.what {
  display: flex;
  flex-direction: column;
  flex: 1;
  line-height: 1.3;
}
.mode {
  all: unset;
  box-sizing: border-box;
  width: 100%;
  cursor: pointer;
  display: flex;
  flex-direction: column;
  padding: 12px 16px;
  border: 1.5px solid var(--indigo);
  border-radius: var(--ease);
  min-height: 56px;
}
.mode:hover {
  background: var(--indigo-wash);
}
</style>
