<script setup lang="ts">
import { EDITION_NAME } from '#core/regulations/editions'
import type { WorkView } from '#schemas/views'
import { circuitFacts, intakeFacts } from '~/texts/task-facts'

/** What is given beside a worksheet: the task, the circuit or board, the supply. */
const props = defineProps<{
  view: WorkView
  /** Circuits and boards that are asked. */
  scopes: number
  circuit: WorkView['sheet']['installation']['circuits'][number] | undefined
  board: WorkView['sheet']['installation']['boards'][number] | undefined
}>()
const installation = computed(() => props.view.sheet.installation)
</script>

<template>
  <aside class="given" tabindex="0" aria-label="Given">
    <p class="bay-number">Bay {{ view.bay }} · {{ view.exercise.code }}</p>
    <h1>{{ view.exercise.title }}</h1>
    <details open>
      <summary>The task</summary>
      <p><TermText :text="view.exercise.scenario" /></p>
    </details>
    <template v-if="circuit"
      ><h2 v-if="scopes > 1">{{ circuit.name }}</h2>
      <TaskFacts :facts="circuitFacts(circuit)"
    /></template>
    <template v-else-if="board"
      ><h2>{{ board.name }}</h2>
      <TaskFacts
        :facts="[
          {
            name: 'Circuits',
            value: String(installation.circuits.filter((circuit) => circuit.board === board!.id).length),
          },
          { name: 'Ways', value: `${board.ways}${board.phases === 3 ? ', three phase' : ''}` },
          ...(board.surge
            ? [{ name: 'SPD', value: `way ${board.surge.way}, behind way ${board.surge.deviceWay}` }]
            : []),
        ]"
    /></template>
    <details :open="scopes === 1 || !circuit">
      <summary>The supply</summary>
      <TaskFacts :facts="intakeFacts(installation)" />
      <p v-if="board && board.electrodeOhm !== null" class="soft">
        {{ board.name }} has its own electrode of {{ board.electrodeOhm }} Ω: a TT island.
      </p>
    </details>
    <NuxtLink v-if="view.stage !== 'design'" :to="`/practice/bays/task-${view.id}`"
      >Wire it in the virtual bay first</NuxtLink
    >
    <p class="soft small">
      Your own figures. BS 7671, {{ EDITION_NAME[view.sheet.edition] }}. About
      {{ view.exercise.minutes }} minutes, as a guide.
    </p>
  </aside>
</template>

<style scoped>
.given {
  padding: 18px 22px;
  border-right: 1px solid var(--hem);
  overflow: auto;
  display: flex;
  flex-direction: column;
  gap: 10px;
}
.bay-number {
  font-weight: var(--strong);
  color: var(--soft);
}
summary {
  cursor: pointer;
  font-weight: var(--strong);
  color: var(--indigo-text);
  min-height: 32px;
}
details p {
  line-height: 1.4;
}
@media (max-width: 900px) {
  .given {
    border-right: 0;
    border-bottom: 1px solid var(--hem);
    overflow: visible;
  }
}
</style>
