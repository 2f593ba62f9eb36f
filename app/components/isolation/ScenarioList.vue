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
      v-for="scenario in home.scenarios"
      :key="scenario.code"
      type="button"
      class="list-entry"
      :data-testid="`scenario-${scenario.code}`"
      @click="chosen = scenario"
    >
      <span class="what"
        ><b>{{ scenario.title }}</b
        ><span class="soft small">{{ LEVEL[scenario.level] }}</span></span
      >
      <span v-if="scenario.tries" class="tag" :class="scenario.hasMet ? 'met' : 'waiting'">{{
        scenario.hasMet ? 'kept' : `tried ${scenario.tries === 1 ? 'once' : `${scenario.tries} times`}`
      }}</span>
    </button>
    <el-dialog
      :model-value="chosen !== null"
      :title="chosen?.title ?? ''"
      width="480px"
      @close="chosen = null"
    >
      <div class="stack">
        <button v-for="mode in MODES" :key="mode.mode" type="button" class="mode" @click="start(mode.mode)">
          <b>{{ mode.name }}</b><span class="soft">{{ mode.about }}</span>
        </button>
      </div>
    </el-dialog>
  </div>
</template>

<style scoped>
.mode:focus-visible {
  outline: 2.5px solid var(--indigo);
  outline-offset: -2px;
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
