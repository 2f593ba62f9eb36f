<script setup lang="ts">
import { scopeOf, stepOf } from '#core/design/model/step-keys'
import { STEP_KINDS } from '#core/design/model/step-kinds'
import { askedNodes, type PublicInstallation } from '#core/exercise/assignment'
import type { Exercise } from '#core/exercise/exercise'
import { EDITION_NAME } from '#core/regulations/editions'
import { STEP_TEXT } from '#words/steps'
import { QUANTITIES } from '#core/units/quantity'
import { choicesFor } from '~/texts/sheet-parts'
import { circuitFacts, intakeFacts } from '~/texts/task-facts'

/** What an apprentice gets on paper: the story, what is given, and empty boxes in the order of the work. */
const props = defineProps<{
  exercise: Exercise
  installation: PublicInstallation
  who?: { name: string; number: string; bay: number }
}>()
const nodes = computed(() => askedNodes({ ...props.exercise, installation: props.installation }))
const scopes = computed(() =>
  [...props.installation.circuits, ...props.installation.boards]
    .map(({ id, name }) => ({
      id,
      name,
      nodes: nodes.value.filter((node) => scopeOf(node) === id),
      circuit: props.installation.circuits.find((circuit) => circuit.id === id),
    }))
    .filter((scope) => scope.nodes.length > 0 || scope.circuit),
)
const unit = (node: string) => {
  const step = stepOf(node)
  const choices = choicesFor(
    step,
    props.installation.circuits.find(({ id }) => id === scopeOf(node)),
  )
  return choices ? choices.map(({ text }) => text).join(' / ') : QUANTITIES[STEP_KINDS[step].quantity].unit
}
</script>

<template>
  <article class="sheet">
    <header>
      <div>
        <p class="soft">{{ exercise.code }} · Nakshi task sheet</p>
        <h1>{{ exercise.title }}</h1>
      </div>
      <div class="who">
        <template v-if="who"
          ><p>
            <b>{{ who.name }}</b> · {{ who.number }}
          </p>
          <p class="bay-no">Bay {{ who.bay }}</p></template
        >
        <p v-else class="soft">name, number, bay: ____________________</p>
      </div>
    </header>
    <p class="scenario">{{ exercise.scenario }}</p>
    <p class="soft">
      {{ EDITION_NAME[exercise.edition] }} of BS 7671. About {{ exercise.minutes }} minutes.
      {{
        exercise.tests
          ? 'Hand in the design; after that wire, test dead, ask for permission, test live.'
          : 'Hand in the design.'
      }}
    </p>
    <div class="columns">
      <section>
        <h2>The supply</h2>
        <TaskFacts :facts="intakeFacts(installation)" />
      </section>
      <section>
        <h2>The boards</h2>
        <SingleLine :installation="installation" />
      </section>
    </div>
    <section v-for="scope in scopes" :key="scope.id" class="scope">
      <h2>{{ scope.name }}</h2>
      <div class="columns">
        <TaskFacts v-if="scope.circuit" :facts="circuitFacts(scope.circuit)" />
        <table v-if="scope.nodes.length" class="grid-table">
          <tbody>
            <tr v-for="node in scope.nodes" :key="node">
              <td>
                {{ STEP_TEXT[stepOf(node)].name }}
                <span class="sym">{{ STEP_KINDS[stepOf(node)].symbol }}</span>
              </td>
              <td class="blank">{{ unit(node) }}</td>
            </tr>
          </tbody>
        </table>
        <p v-else class="soft">Given; not designed here.</p>
      </div>
    </section>
    <PrintFoot />
  </article>
</template>

<style scoped src="./sheet.css"></style>
