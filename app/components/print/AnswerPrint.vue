<script setup lang="ts">
import { designOf } from '#core/exercise/assignment'
import type { Exercise } from '#core/exercise/exercise'
import type { Installation } from '#core/installation/installation'
import { STEP_KINDS, stepWords } from '#core/design/model/step-kinds'
import { shortSource } from '#core/regulations/source'
import { STEP_TEXT } from '#words/steps'

/** The worked answers of one variant, for whoever marks on paper. Not for apprentices. */
const props = defineProps<{ exercise: Exercise; installation: Installation; title: string }>()
const design = computed(() => designOf({ ...props.exercise, installation: props.installation }))
const parts = computed(() =>
  [
    ...design.value.circuits.map((part) => ({ name: part.circuit.name, part })),
    ...design.value.boards.map((part) => ({ name: part.board.name, part })),
  ]
    .filter(({ part }) => !('circuit' in part) || props.exercise.asks.circuits.includes(part.scope))
    .map(({ name, part }) => ({
      name,
      steps: part.steps.filter(({ key }) => props.exercise.asks.steps.includes(key)),
    }))
    .filter(({ steps }) => steps.length > 0),
)
</script>

<template>
  <article class="sheet">
    <header>
      <div>
        <p class="soft">{{ exercise.code }} · answers, not for apprentices</p>
        <h1>{{ exercise.title }}</h1>
      </div>
      <p class="bay-no">{{ title }}</p>
    </header>
    <section v-for="part in parts" :key="part.name" class="scope">
      <h2>{{ part.name }}</h2>
      <table class="grid-table">
        <tbody>
          <tr v-for="step in part.steps" :key="step.key">
            <td>
              {{ STEP_TEXT[step.key].name }} <span class="sym">{{ STEP_KINDS[step.key].symbol }}</span>
            </td>
            <td class="num">
              <b>{{ stepWords(step.key, step.value) }}</b>
            </td>
            <td class="mono working">{{ step.working }}</td>
            <td class="soft">{{ shortSource(step.source) }}</td>
          </tr>
        </tbody>
      </table>
    </section>
    <PrintFoot />
  </article>
</template>

<style scoped src="./sheet.css"></style>
