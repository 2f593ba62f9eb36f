<script setup lang="ts">
import { inOrder } from '#core/in-order'
import { facesOf } from '#core/bay/layout/face'
import { buildRig } from '#core/bay/build/build'
import { boardFace } from '#core/drawing/board-face'
import { designOf } from '#core/exercise/assignment'
import type { Exercise } from '#core/exercise/exercise'
import { stepWords } from '#core/design/model/step-kinds'
import type { StepKey } from '#core/design/model/step-keys'
import { CABLE_NAME, wayWords } from '#words/names'
import { sourcesOf } from '#core/testing/records/test-record'
import { SUPPLIES_DUTY, suppliesNotice } from '#words/test-record'
import { isFrom } from '#core/regulations/editions'
import { stripName } from '~/texts/isolation'

/** The chart beside each board and the labels on it. */
const props = defineProps<{ exercise: Exercise; labels: boolean }>()
const design = computed(() => designOf(props.exercise))
const boards = computed(() =>
  design.value.boards.map((board) => ({
    board,
    circuits: design.value.circuits
      .filter(({ circuit }) => circuit.board === board.scope)
      .sort((a, b) => a.circuit.way - b.circuit.way || inOrder(a.circuit.line, b.circuit.line)),
  })),
)
/** Each board as one stands before it, its ways numbered; none where the exercise has no design yet. */
const rig = computed(() => buildRig(props.exercise.installation, design.value, props.exercise.title))
const faceOf = (board: string) =>
  rig.value &&
  boardFace(
    facesOf(rig.value, board, ({ name }) => stripName(name)),
    null,
  )
const words = (values: Readonly<Partial<Record<StepKey, number>>>, step: StepKey) =>
  values[step] === undefined ? '–' : stepWords(step, values[step])
const interval = computed(() => (isFrom(props.exercise.edition, '18') ? 'six-monthly' : 'quarterly'))
const sources = computed(() => sourcesOf(props.exercise.installation))
/** The circuit that follows the SPD on the chart; none where it stands last. */
const spdBefore = (
  { board: { surge } }: (typeof boards.value)[number]['board'],
  circuits: (typeof boards.value)[number]['circuits'],
) => surge && circuits.find(({ circuit }) => circuit.way > surge.deviceWay)?.circuit.id
const hasRcd = (circuits: (typeof boards.value)[number]['circuits']) =>
  circuits.some(({ values }) => (values.residual ?? 0) > 0)
</script>

<template>
  <article v-for="{ board, circuits } in boards" :key="board.scope" class="sheet">
    <header>
      <div>
        <p class="soft">{{ exercise.code }} · {{ labels ? 'labels' : 'circuit chart' }}</p>
        <h1>{{ board.board.name }}</h1>
      </div>
      <p class="who">
        {{ board.task.arrangement }} · main switch {{ words(board.values, 'mainSwitch') }}<br />demand
        {{ words(board.values, 'demand') }}
      </p>
    </header>
    <BoardFace v-if="!labels && faceOf(board.scope)" :face="faceOf(board.scope)!" :name="board.board.name" />
    <table v-if="!labels" class="grid-table">
      <thead>
        <tr>
          <th>Way</th>
          <th>Circuit</th>
          <th>Device</th>
          <th>RCD</th>
          <th>Cable</th>
          <th class="num">csa</th>
          <th class="num">Points</th>
          <th class="num">Zs max</th>
        </tr>
      </thead>
      <tbody>
        <template v-for="{ circuit, values, task } in circuits" :key="circuit.id">
          <ChartSpd v-if="circuit.id === spdBefore(board, circuits)" :surge="board.board.surge!" />
          <tr>
            <td>
              <b class="mono">{{ wayWords(circuit, board.board.phases) }}</b>
            </td>
            <td>{{ circuit.name }}</td>
            <td class="mono">{{ task.device.curve ?? '' }}{{ words(values, 'in') }}</td>
            <td>{{ words(values, 'residual') }}</td>
            <td>{{ CABLE_NAME[circuit.cable.kind] }}</td>
            <td class="num">{{ words(values, 'csa') }}</td>
            <td class="num">{{ circuit.points }}</td>
            <td class="num">{{ words(values, 'zsMax') }}</td>
          </tr>
        </template>
        <ChartSpd v-if="board.board.surge && !spdBefore(board, circuits)" :surge="board.board.surge" />
      </tbody>
    </table>
    <div v-else class="labels">
      <div v-for="{ circuit, values, task } in circuits" :key="circuit.id" class="label">
        <b>{{ wayWords(circuit, board.board.phases) }}</b><span
          >{{ circuit.name }}<br /><span class="mono"
            >{{ task.device.curve ?? '' }}{{ words(values, 'in')
            }}{{ (values.residual ?? 0) > 0 ? ` · ${words(values, 'residual')}` : '' }}</span
          ></span
        >
      </div>
      <div v-if="board.board.surge" class="label">
        <b>{{ board.board.surge.deviceWay }}</b><span>SPD, in way {{ board.board.surge.way }}</span>
      </div>
    </div>
    <p v-if="hasRcd(circuits)" class="stitched">
      This board has residual current devices. Press each test button {{ interval }}. If one does not open,
      tell the person in charge.
    </p>
    <p v-if="sources.length" class="stitched">
      <b>Multiple supplies.</b> {{ suppliesNotice(sources) }} {{ SUPPLIES_DUTY }}
    </p>
    <p class="soft">Next inspection of this bay: ____________ · by: ____________</p>
    <PrintFoot />
  </article>
</template>

<style scoped src="./sheet.css"></style>
<style scoped>
.labels {
  display: grid;
  grid-template-columns: repeat(3, 1fr);
  gap: 10px;
}
.label {
  border: 1.5px solid var(--ink);
  padding: 8px 10px;
  display: flex;
  gap: 12px;
  align-items: center;
  line-height: 1.25;
  min-height: 58px;
  break-inside: avoid;
}
.label b {
  font: var(--heavy) 24px var(--mono);
}
</style>
