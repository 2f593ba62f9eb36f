<script setup lang="ts">
import type { StepKey } from '#core/design/step'

defineProps<{ answer: (key: StepKey) => string; locked: boolean; missing: readonly string[] }>()
const emit = defineEmits<{ write: [key: StepKey, text: string] }>()

const PARTS: readonly { name: string; steps: readonly StepKey[] }[] = [
  { name: 'Load and device', steps: ['ib', 'in'] },
  { name: 'Factors and conductor', steps: ['ca', 'cg', 'itMin', 'csa', 'it'] },
  { name: 'Voltage drop', steps: ['voltDropPerAm', 'voltDrop'] },
  { name: 'Fault to earth', steps: ['ohmPerM', 'r1r2', 'r1r2Hot', 'zs'] },
  { name: 'Protection', steps: ['residual', 'zsMax', 'breaking'] },
]
</script>

<template>
  <div>
    <section v-for="part in PARTS" :key="part.name">
      <h2>{{ part.name }}</h2>
      <AnswerRow
        v-for="step in part.steps" :id="`step-${step}`" :key="step" :step="step" :model-value="answer(step)" :locked="locked" :missing="missing.includes(step)"
        @update:model-value="emit('write', step, $event)"
      />
    </section>
  </div>
</template>

<style scoped>
section { margin-bottom: 18px; }
h2 { padding: 4px 8px 5px; border-bottom: 1.5px solid var(--ink); }
</style>
