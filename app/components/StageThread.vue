<script setup lang="ts">
import type { ThreadStage } from '~/texts/thread-stage'

defineProps<{ stages: readonly ThreadStage[]; current?: string }>()
const emit = defineEmits<{ pick: [key: string] }>()

const STITCHES = 8
const sewn = (stage: ThreadStage) =>
  stage.state === 'done' || stage.state === 'signed' ? STITCHES : Math.round(STITCHES * (stage.progress ?? 0))
const STATE_WORD = {
  done: 'done',
  signed: 'signed',
  now: 'in hand',
  todo: 'to come',
  shut: 'closed',
} as const
</script>

<template>
  <nav class="thread" aria-label="Stages">
    <button
      v-for="stage in stages"
      :key="stage.key"
      type="button"
      class="stage"
      :class="[stage.state, { current: stage.key === current }]"
      :aria-current="stage.key === current ? 'step' : undefined"
      @click="emit('pick', stage.key)"
    >
      <svg viewBox="0 0 136 12" preserveAspectRatio="xMinYMid meet" aria-hidden="true">
        <template v-for="i in STITCHES" :key="i">
          <rect
            v-if="i <= sewn(stage)"
            class="sewn"
            :x="(i - 1) * 15 + 1"
            y="4"
            width="11"
            height="4"
            rx="2"
          />
          <template v-else>
            <circle class="hole" :cx="(i - 1) * 15 + 3" cy="6" r="1.6" />
            <circle class="hole" :cx="(i - 1) * 15 + 10" cy="6" r="1.6" />
          </template>
        </template>
        <path v-if="stage.state === 'signed'" class="sewn" d="M122 6q5 -6 9 0q-4 6 -9 0z" />
      </svg>
      <b
        >{{ stage.name }} <span class="visually-hidden">{{ STATE_WORD[stage.state] }}</span></b
      >
      <span class="note">{{ stage.note }}</span>
    </button>
  </nav>
</template>

<style scoped>
.thread {
  /* What is said to a screen reader alone stays inside. */
  position: relative;
  display: grid;
  grid-auto-flow: column;
  grid-auto-columns: minmax(118px, 1fr);
  background: var(--panel);
  border-bottom: 1px solid var(--hem);
  padding: 4px 16px;
  overflow-x: auto;
}
.stage {
  all: unset;
  box-sizing: border-box;
  cursor: pointer;
  padding: 9px 8px 9px;
  display: flex;
  flex-direction: column;
  gap: 2px;
  min-height: 68px;
  border-radius: var(--ease);
}
.stage:focus-visible {
  outline: 2.5px solid var(--indigo);
  outline-offset: -2px;
}
.stage:hover b {
  text-decoration: underline;
  text-underline-offset: 3px;
}
.stage svg {
  width: 100%;
  max-width: 136px;
  height: 12px;
  margin-bottom: 3px;
}
.stage b {
  font-size: 15px;
  font-weight: var(--strong);
}
.stage.current b {
  color: var(--indigo-text);
  font-weight: var(--heavy);
}
.stage.current {
  box-shadow: inset 0 -3px 0 var(--turmeric);
}
.note {
  font-size: 13px;
  color: var(--soft);
  line-height: 1.2;
}
.sewn {
  fill: var(--indigo);
}
.hole {
  fill: var(--hem-strong);
}
.shut .hole {
  fill: none;
  stroke: var(--madder);
  stroke-width: 1.2;
}
</style>
