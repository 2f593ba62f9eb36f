<script setup lang="ts">
import { path } from 'd3-path'
import { layOut } from '#core/exercise/single-line'
import type { PublicCircuit, PublicInstallation } from '#core/exercise/assignment'
import { stepWords } from '#core/design/model/step-kinds'
import type { StepKey } from '#core/design/model/step-keys'
import { CABLE_SHORT, INFEED_NAME, USE_SHORT } from '#words/names'

/**
 * The installation as one line a circuit: bar, device, cable, load. Values are written in where they are given: worked ones
 * for an instructor, an apprentice's own for themselves.
 */
const props = defineProps<{
  installation: PublicInstallation
  figureOf?: (scope: string, step: StepKey) => number | undefined
  selected?: string
  failed?: ReadonlySet<string>
}>()
const emit = defineEmits<{ pick: [scope: string] }>()

const ROW = 44
const INDENT = 34
const WIDTH = 620
const drawing = computed(() => layOut(props.installation))
const words = (scope: string, step: StepKey): string => {
  const value = props.figureOf?.(scope, step)
  return value === undefined ? '' : stepWords(step, value)
}
const y = (row: number) => row * ROW + ROW / 2
/** A load takes at its end; a second source gives from there. */
const arrowOf = (row: { readonly y: number; readonly circuit: PublicCircuit }) => {
  const [from, tip] = row.circuit.infeed ? [END + 8, -8] : [END, 8]
  return `M${from} ${y(row.y) - 5}l${tip} 5l${-tip} 5z`
}
const x = (depth: number) => 16 + depth * INDENT
const END = WIDTH - 190
/** From the end of the feeding circuit round to the switch of the board. */
function feedPath(from: number, row: { readonly y: number; readonly depth: number }): string {
  const feed = path()
  const corners = [
    [END + 12, y(from)],
    [END + 12, y(row.y) - 18],
    [x(row.depth), y(row.y) - 18],
    [x(row.depth), y(row.y) - 13],
  ] as const
  feed.moveTo(END, y(from))
  for (const corner of corners) feed.lineTo(...corner)
  return String(feed)
}
</script>

<template>
  <svg
    class="single-line"
    :viewBox="`0 0 ${WIDTH} ${drawing.height * ROW + 6}`"
    :aria-label="`Single-line diagram, ${installation.circuits.length} circuits`"
    role="group"
  >
    <line
      v-for="bar in drawing.bars"
      :key="bar.board"
      class="bar"
      :x1="x(bar.depth)"
      :x2="x(bar.depth)"
      :y1="y(bar.fromY) + 13"
      :y2="y(bar.toY) + 14"
    />
    <template v-for="row in drawing.rows" :key="row.y">
      <SourcesLine
        v-if="row.is === 'sources'"
        :intake="row.intake"
        :standby="row.standby"
        :x="x(0)"
        :end="END"
        :transform="`translate(0 ${y(row.y)})`"
      />
      <SurgeLine
        v-else-if="row.is === 'surge'"
        :surge="row.surge"
        :phases="row.board.phases"
        :x="x(row.depth)"
        :end="END"
        :transform="`translate(0 ${y(row.y)})`"
      />
      <g
        v-else-if="row.is === 'board'"
        class="row"
        :class="{ on: selected === row.board.id, failed: failed?.has(row.board.id) }"
        tabindex="0"
        role="button"
        :aria-label="row.board.name"
        @click="emit('pick', row.board.id)"
        @keydown.enter="emit('pick', row.board.id)"
      >
        <rect
          class="hit"
          :x="x(row.depth) - 10"
          :y="y(row.y) - 20"
          :width="WIDTH - x(row.depth)"
          height="40"
        />
        <path v-if="row.fedFromY !== null" class="feed" :d="feedPath(row.fedFromY, row)" />
        <rect class="box switch" :x="x(row.depth) - 8" :y="y(row.y) - 13" width="16" height="26" />
        <line
          class="bar thin"
          :x1="x(row.depth) - 4"
          :x2="x(row.depth) + 4"
          :y1="y(row.y) + 6"
          :y2="y(row.y) - 6"
        />
        <text class="name" :x="x(row.depth) + 16" :y="y(row.y) - 1">{{ row.board.name }}</text>
        <text class="small" :x="x(row.depth) + 16" :y="y(row.y) + 14">
          {{ row.board.phases === 3 ? 'L1 L2 L3 N' : 'L N' }} · {{ row.board.ways }} ways{{
            row.board.electrodeOhm === null ? '' : ` · TT, ${row.board.electrodeOhm} Ω`
          }}{{ words(row.board.id, 'mainSwitch') && ` · switch ${words(row.board.id, 'mainSwitch')}`
          }}{{ words(row.board.id, 'demand') && ` · demand ${words(row.board.id, 'demand')}` }}
        </text>
      </g>
      <g
        v-else
        class="row"
        :class="{ on: selected === row.circuit.id, failed: failed?.has(row.circuit.id) }"
        tabindex="0"
        role="button"
        :aria-label="row.circuit.name"
        @click="emit('pick', row.circuit.id)"
        @keydown.enter="emit('pick', row.circuit.id)"
      >
        <rect
          class="hit"
          :x="x(row.depth) - 10"
          :y="y(row.y) - 20"
          :width="WIDTH - x(row.depth)"
          height="40"
        />
        <line class="wire" :x1="x(row.depth)" :x2="END" :y1="y(row.y)" :y2="y(row.y)" />
        <line
          v-if="row.circuit.phases === 3"
          class="wire"
          :x1="x(row.depth)"
          :x2="END"
          :y1="y(row.y) + 3"
          :y2="y(row.y) + 3"
        />
        <circle class="dot" :cx="x(row.depth)" :cy="y(row.y)" r="3" />
        <rect
          class="box"
          :x="x(row.depth) + 16"
          :y="y(row.y) - 11"
          width="56"
          height="22"
          :rx="row.circuit.device.curve ? 2 : 10"
        />
        <text class="device" :x="x(row.depth) + 44" :y="y(row.y) + 5">
          {{ row.circuit.device.curve ?? 'F' }}{{ words(row.circuit.id, 'in').replace(' A', '') || '·' }}
        </text>
        <g v-if="figureOf?.(row.circuit.id, 'residual')">
          <circle class="box ring" :cx="x(row.depth) + 92" :cy="y(row.y)" r="12" />
          <text class="ring-text" :x="x(row.depth) + 92" :y="y(row.y) + 4">
            {{ words(row.circuit.id, 'residual').replace(' mA', '') }}
          </text>
        </g>
        <text class="small" :x="x(row.depth) + 112" :y="y(row.y) - 5">
          {{ CABLE_SHORT[row.circuit.cable.kind]
          }}{{ words(row.circuit.id, 'csa') && `, ${words(row.circuit.id, 'csa')}` }}
        </text>
        <text class="small" :x="x(row.depth) + 112" :y="y(row.y) + 15">
          {{ row.circuit.lengthM }} m{{ row.circuit.topology === 'ring' ? ' ring' : ''
          }}{{ words(row.circuit.id, 'zs') && ` · Zs ${words(row.circuit.id, 'zs')}` }}
        </text>
        <path
          v-if="row.circuit.topology === 'ring'"
          class="wire loop"
          :d="`M${END - 16} ${y(row.y)}a8 8 0 1 1 16 0a8 8 0 1 1 -16 0`"
        />
        <path v-else-if="!row.feeds" class="load" :class="{ infeed: row.circuit.infeed }" :d="arrowOf(row)" />
        <text class="name" :x="END + 22" :y="y(row.y) - 1">
          {{ row.circuit.name.length > 24 ? `${row.circuit.name.slice(0, 23)}…` : row.circuit.name }}
        </text>
        <text class="small" :x="END + 22" :y="y(row.y) + 14">
          {{
            row.circuit.infeed
              ? `${INFEED_NAME[row.circuit.infeed]} can feed in`
              : USE_SHORT[row.circuit.use]
          }}{{ words(row.circuit.id, 'ib') && `, ${words(row.circuit.id, 'ib')}` }}
        </text>
        <title>{{ row.circuit.name }}</title>
      </g>
    </template>
  </svg>
</template>

<style scoped src="./single-line.css"></style>

<style scoped>
.single-line {
  width: 100%;
  max-width: 860px;
  display: block;
  font-family: var(--font);
}
.bar {
  stroke: var(--ink);
  stroke-width: 4;
}
.thin {
  stroke-width: 2;
}
.feed {
  stroke: var(--ink);
  stroke-width: 1.4;
  stroke-dasharray: 5 3;
  fill: none;
}
.loop {
  fill: var(--panel);
}
.load.infeed {
  fill: var(--turmeric);
}
.load {
  fill: var(--ink);
}
.ring {
  stroke-dasharray: 4 2.5;
  stroke: var(--indigo);
}
.ring-text {
  font: var(--strong) 11px var(--mono);
  text-anchor: middle;
  fill: var(--indigo-text);
}
.hit {
  fill: transparent;
}
.row {
  cursor: pointer;
  outline: none;
}
.row:hover .hit,
.row:focus-visible .hit {
  fill: var(--indigo);
  fill-opacity: 0.07;
}
.row.on .hit {
  stroke: var(--indigo);
  stroke-width: 1.5;
  stroke-dasharray: 5 3;
}
.row.failed .box {
  stroke: var(--madder);
  stroke-width: 2.2;
}
</style>
