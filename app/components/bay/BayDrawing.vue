<script setup lang="ts">
import type { BayLayout } from '#core/bay/layout/placed'
import { path, rect, rounded } from '#core/drawing/shape'
import type { Point } from '#core/bay/layout/route'
import type { BayState } from '#core/bay/behaviour/state'
import { stateOf } from '~/utils/part-state'
import type { Colour, Rig, TerminalRef } from '#core/bay/model/rig'
import { terminalNameOf } from '#core/bay/model/terminals'
import { COLOUR_VAR } from '~/texts/bay'

/**
 * The bay as it is wired, from the model: boards and intake on the left, points on the right, conductors in
 * their channels.
 */
const props = withDefaults(
  defineProps<{
    layout: BayLayout
    rig: Rig
    paths: ReadonlyMap<string, readonly Point[]>
    state: BayState
    zoom: number
    working?: ReadonlySet<string>
    tripped?: ReadonlySet<string>
    live?: ReadonlySet<string>
    pickedPart: string | null
    pickedWires: ReadonlySet<string>
    /** What stays in full strength while the rest fades; null for everything. */
    lifted?: ReadonlySet<string> | null
    /** What each conductor carries, A. */
    flow?: ReadonlyMap<string, number>
    /** Only looked at and pointed at: spare ways and test buttons do nothing. */
    fixed?: boolean
  }>(),
  {
    working: () => new Set(),
    tripped: () => new Set(),
    live: () => new Set(),
    lifted: null,
    flow: () => new Map(),
    fixed: false,
  },
)
const emit = defineEmits<{
  terminal: [ref: TerminalRef]
  wire: [id: string]
  part: [id: string]
  test: [id: string]
  blank: [board: string, way: number]
}>()

const CASE = 7
const used = computed(() => new Set(props.rig.wires.flatMap(({ from, to }) => [from, to])))
const fields = computed(() => new Map(props.rig.boards.map((board) => [board.id, board])))
/** A comb has the colour of its line. */
const LINE_COLOUR: Readonly<Record<string, Colour>> = { L2: 'black', L3: 'grey' }
const lineColour = (id: string) => {
  const tooth = props.rig.busbars.find((busbar) => busbar.id === id)?.teeth[0] ?? ''
  return COLOUR_VAR[LINE_COLOUR[terminalNameOf(tooth).split(' ')[0]!] ?? 'brown']
}
const isBlanked = ({ board, way, isBlanked: known }: BayLayout['slots'][number]): boolean =>
  known ?? fields.value.get(board)?.blanks.includes(way) ?? false
/** The steel of a board round the frame that its parts stand in. */
const caseOf = ({ x, y, w, h }: BayLayout['frames'][number]) => [
  rounded(6, rect('painted', x - CASE, y - CASE, w + CASE * 2, h + CASE * 2)),
]
const railOf = ({ x, y, w, h }: BayLayout['rails'][number]) => [
  rect('rail', x, y, w, h),
  path('line thin', `M${x} ${y + 5}h${w}M${x} ${y + h - 5}h${w}`),
]
// Made once for a bay, so that nothing of them is drawn again when a hand touches something else.
const cases = computed(() => props.layout.frames.map((frame) => ({ frame, shapes: caseOf(frame) })))
const rails = computed(() => props.layout.rails.map(railOf))
const isFaded = (id: string): boolean => props.lifted !== null && !props.lifted.has(id)
</script>

<template>
  <svg
    class="drawing drawn by-itself"
    :viewBox="`0 0 ${layout.width} ${layout.height}`"
    :width="layout.width * zoom"
    :height="layout.height * zoom"
    role="group"
    :aria-label="`${rig.name}, ${rig.wires.length} conductors`"
  >
    <g v-for="{ frame, shapes } in cases" :key="frame.board.id">
      <DrawnShapes :shapes="shapes" />
      <rect class="frame" :x="frame.x" :y="frame.y" :width="frame.w" :height="frame.h" rx="5" />
      <text class="frame-name" :x="frame.x + 12" :y="frame.y + 21">{{ frame.board.name }}</text>
      <text class="frame-note" :x="frame.x + frame.w - 12" :y="frame.y + 21">
        {{ frame.board.ways }} ways · cover off
      </text>
    </g>
    <g v-for="group in layout.groups" :key="group.name + group.y">
      <rect class="group" :x="group.x" :y="group.y" :width="group.w" :height="group.h" rx="4" />
      <text class="group-name" :x="group.x + 10" :y="group.y + 17">{{ group.name }}</text>
    </g>
    <DrawnShapes v-for="(bar, i) in rails" :key="`rail${i}`" :shapes="bar" />
    <g
      v-for="slot in layout.slots"
      :key="`${slot.board} ${slot.way}`"
      class="slot"
      :class="{ fixed }"
      :role="fixed ? 'img' : 'button'"
      :tabindex="fixed ? undefined : 0"
      :aria-label="`Spare way ${slot.way}, ${isBlanked(slot) ? 'blank fitted' : 'open'}`"
      :data-slot="`${slot.board}.${slot.way}`"
      @click="fixed || emit('blank', slot.board, slot.way)"
      @keydown.enter="fixed || emit('blank', slot.board, slot.way)"
    >
      <rect
        class="space"
        :class="{ fitted: isBlanked(slot) }"
        :x="slot.x"
        :y="slot.y"
        :width="slot.w"
        :height="slot.h"
        rx="3"
      />
      <text class="slot-text" :x="slot.x + slot.w / 2" :y="slot.y + slot.h / 2 - 4">{{ slot.way }}</text>
      <text class="slot-text small" :x="slot.x + slot.w / 2" :y="slot.y + slot.h / 2 + 12">
        {{ isBlanked(slot) ? 'blank' : 'open' }}
      </text>
    </g>
    <BayBox
      v-for="box in layout.boxes"
      :key="box.part.id"
      :box="box"
      :is-on="stateOf(box.part, state)"
      :is-tripped="tripped.has(box.part.id)"
      :is-working="working.has(box.part.id)"
      :is-picked="pickedPart === box.part.id"
      :is-faded="isFaded(box.part.id)"
      :has-test="!fixed"
      @pick="emit('part', box.part.id)"
      @test="emit('test', box.part.id)"
    />
    <g
      v-for="busbar in layout.busbars"
      :key="busbar.id"
      class="busbar"
      :class="{ faded: isFaded(busbar.id) }"
      :style="{ color: lineColour(busbar.id) }"
    >
      <line :x1="busbar.teeth[0]?.x" :x2="busbar.right" :y1="busbar.y" :y2="busbar.y" />
      <line
        v-for="tooth in busbar.teeth"
        :key="tooth.place"
        class="tooth"
        :x1="tooth.x"
        :x2="tooth.x"
        :y1="tooth.top"
        :y2="busbar.y"
      />
      <rect
        v-if="busbar.end !== 'tooth'"
        :class="`comb-end ${busbar.end}`"
        :x="busbar.right - 2"
        :y="busbar.y - 9"
        width="13"
        height="18"
        rx="2"
      />
    </g>
    <BayWires
      :wires="rig.wires"
      :paths="paths"
      :lifted="lifted ?? pickedWires"
      :is-fading="lifted !== null"
      :flow="flow"
      @wire="emit('wire', $event)"
    />
    <BayTerminals
      :terminals="layout.terminals"
      :used="used"
      :live="live"
      @terminal="emit('terminal', $event)"
    />
    <slot />
  </svg>
</template>

<style src="~/assets/drawn.css" />
<style scoped>
.drawing {
  background: none;
  user-select: none;
  touch-action: manipulation;
}
.frame {
  fill: var(--panel);
  stroke: var(--ink);
  stroke-width: 2;
}
.frame-name {
  font: var(--heavy) 18px var(--font);
  fill: var(--ink);
}
.frame-note {
  font: var(--mid) 14px var(--font);
  fill: var(--soft);
  text-anchor: end;
}
.group {
  fill: none;
  stroke: var(--hem-strong);
  stroke-width: 1.2;
  stroke-dasharray: 6 4;
}
.group-name {
  font: var(--strong) 15px var(--font);
  fill: var(--soft);
}
.space {
  /* Tapped all over, not on its edge alone. */
  fill: transparent;
  stroke: var(--hem-strong);
  stroke-width: 1.2;
  stroke-dasharray: 4 3;
  cursor: pointer;
}
.space.fitted {
  fill: var(--hem);
  stroke-dasharray: none;
}
.slot {
  cursor: pointer;
  outline: none;
}
.slot.fixed,
.slot.fixed .space {
  cursor: default;
}
.slot:focus-visible .space {
  stroke: var(--indigo);
  stroke-width: 3;
}
.slot-text {
  font: var(--strong) 13px var(--mono);
  fill: var(--soft);
  text-anchor: middle;
  pointer-events: none;
}
.slot-text.small {
  font: var(--mid) 12.5px var(--font);
}
.busbar line {
  stroke: currentcolor;
  stroke-width: 8;
}
.busbar .tooth {
  stroke-width: 6;
}
.comb-end {
  stroke: var(--ink);
}
.comb-end.bare {
  fill: #cf7a35;
}
.comb-end.capped {
  fill: #f4f1e8;
}
.faded {
  opacity: 0.16;
}
</style>
