<script setup lang="ts">
import type { FirstStep } from '#core/planning/first-steps'
import type { FirstStepsView } from '#schemas/first-steps'
import { FIRST_STEP_TEXT, SAMPLE_ROSTER } from '#words/first-steps'

/** The way of a new centre to its first lesson; gone once a group has an exercise. */
const emit = defineEmits<{ roster: []; samples: [] }>()
const { data, refresh } = useServer<FirstStepsView>(() => 'first-steps')
// Once it is ready it stays so.
useNews(() => data.value?.isReady || void refresh())
defineExpose({ refresh })

const PLACE: Readonly<Partial<Record<FirstStep, string>>> = {
  framework: '/framework',
  instruments: '/stores',
}
const sampleRoster = `data:text/csv;charset=utf-8,${encodeURIComponent(SAMPLE_ROSTER)}`
const next = computed(() => data.value?.steps.find(({ isDone, isOptional }) => !isDone && !isOptional)?.step)
</script>

<template>
  <section v-if="data && !data.isReady" class="steps" aria-labelledby="first-steps" data-testid="first-steps">
    <h2 id="first-steps">Before the first lesson</h2>
    <ol>
      <li
        v-for="{ step, isDone, isOptional, isOwn } in data.steps"
        :key="step"
        :class="{ done: isDone, next: step === next }"
        :data-testid="`step-${step}`"
      >
        <span class="mark" aria-hidden="true">{{ isDone ? '✓' : '' }}</span>
        <div>
          <b>{{ FIRST_STEP_TEXT[step].title }}</b>
          <span v-if="isDone" class="tag met">Done</span>
          <span v-else-if="isOptional" class="tag plain">Can wait</span>
          <p class="soft">{{ FIRST_STEP_TEXT[step].says }}</p>
        </div>
        <div class="row go">
          <span v-if="!isOwn" class="soft">by {{ FIRST_STEP_TEXT[step].by }}</span>
          <template v-else-if="step === 'staff' || step === 'apprentices'">
            <a class="el-button el-button--small is-text" :href="sampleRoster" download="roster.csv"
              >Sample file</a
            >
            <el-button size="small" @click="emit('roster')">{{ FIRST_STEP_TEXT[step].go }}</el-button>
          </template>
          <el-button
            v-else-if="step === 'exercise' && !isDone"
            size="small"
            data-testid="take-samples"
            @click="emit('samples')"
            >Take the sample exercises</el-button
          >
          <NuxtLink v-else-if="PLACE[step]" class="el-button el-button--small" :to="PLACE[step]">{{
            FIRST_STEP_TEXT[step].go
          }}</NuxtLink>
        </div>
      </li>
    </ol>
  </section>
</template>

<style scoped>
.steps {
  background: var(--panel);
  border: 1px solid var(--hem);
  padding: 16px 22px;
}
ol {
  list-style: none;
  margin: 8px 0 0;
  padding: 0;
}
li {
  display: grid;
  grid-template-columns: 26px minmax(0, 1fr) auto;
  gap: 12px;
  align-items: start;
  padding: 9px 0;
  border-top: 1px dashed var(--hem);
}
.mark {
  width: 20px;
  height: 20px;
  border: 1.5px dashed var(--hem-strong);
  border-radius: 50%;
  display: grid;
  place-items: center;
  font-size: 13px;
}
.done .mark {
  border: 1.5px solid var(--leaf);
  color: var(--leaf-text);
}
.next .mark {
  border: 2px solid var(--turmeric);
}
.tag {
  margin-left: 8px;
}
.done p {
  display: none;
}
.go {
  justify-content: flex-end;
}
@media (max-width: 620px) {
  li {
    grid-template-columns: 26px minmax(0, 1fr);
  }
  .go {
    grid-column: 2;
    justify-content: flex-start;
  }
}
</style>
