<script setup lang="ts">
import { aTaskLater } from '~/utils/a-task-later'
import { drawRun, project } from '#core/containment/drawing'
import type { Vector } from '#core/containment/geometry'
import type { RunProblem } from '#core/containment/run-problem'
import type { ContainmentRun, Former } from '#core/containment/containment-run'

/**
 * The run on its wall: corners are dragged along their straight and snap to ten millimetres; saddles,
 * dimensions, problems. Measured corners are drawn over it.
 */
const props = defineProps<{
  run: ContainmentRun
  former: Former
  selected: number | null
  problems?: readonly RunProblem[]
  supports?: readonly Vector[]
  shifted?: readonly Vector[]
  locked?: boolean
  px?: number
}>()
const emit = defineEmits<{ select: [straight: number]; length: [straight: number, mm: number] }>()
const svg = ref<SVGSVGElement>()
// What is around the run is measured by what has been told: while the hand is on a corner it holds still.
const told = computed(() => drawRun(props.run, props.former))
const over = computed(() => (props.shifted ? drawRun(props.run, props.former, props.shifted) : null))
const around = computed(() => {
  const [a, b] = [told.value.viewBox, over.value?.viewBox ?? told.value.viewBox]
  const [x, y] = [Math.min(a.x, b.x), Math.min(a.y, b.y)]
  return {
    x,
    y,
    width: Math.max(a.x + a.width, b.x + b.width) - x,
    height: Math.max(a.y + a.height, b.y + b.height) - y,
  }
})
const {
  shown,
  seen: view,
  grab,
  move,
  drop,
} = useCornerDrag(toRef(props, 'run'), around, (straight, mm) => emit('length', straight, mm))
const drawn = computed(() => (shown.value === props.run ? told.value : drawRun(shown.value, props.former)))
const scale = computed(() => Math.max(view.value.width / (props.px ?? 690), view.value.height / 400, 0.6))
const wrong = computed(() => new Set((props.problems ?? []).map(({ straight }) => straight)))
const isOff = (straight: number) => isOffWall(shown.value, straight)
const LABEL_PX = 17
/** Width of a figure beside its height; the labels are set in a type of even width. */
const FIGURE = 0.62
const labels = computed(() =>
  shown.value.straights.map(({ lengthMm }, i) => {
    const corners = drawn.value.corners.filter(({ corner }) => corner.straight === i)
    const end = corners.at(-1)!
    const before = drawn.value.corners.filter(({ corner }) => corner.straight === i - 1).at(-1)!
    const text = `${i + 1} · ${Math.round(lengthMm)}${isOff(i) ? ' ⊙' : ''}`
    const half = (text.length * FIGURE * LABEL_PX * scale.value) / 2
    const isUpright = Math.abs(end.y - before.y) > Math.abs(end.x - before.x)
    // What comes off the wall slants to the right: there is room to its left.
    const onWall = isUpright ? [half + 14 * scale.value, 0] : [0, -12 * scale.value]
    const offWall = [-half - 12 * scale.value, 22 * scale.value]
    const [right, down] = (isOff(i) ? offWall : onWall) as [number, number]
    const [left, most] = [view.value.x + half, view.value.x + view.value.width - half]
    const x = (end.x + before.x) / 2 + right
    return {
      i,
      text,
      x: x > most && isUpright ? x - 2 * right : Math.min(most, Math.max(left, x)),
      y: (end.y + before.y) / 2 + down,
    }
  }),
)
const ends = computed(() =>
  shown.value.straights.map((_, i) => ({
    i,
    ...drawn.value.corners.filter(({ corner }) => corner.straight === i).at(-1)!,
  })),
)

let touched = 0
/** The corner follows the hand first; that its straight is the one in the table comes after. */
const chosen = aTaskLater(() => emit('select', touched))
onScopeDispose(chosen.drop)
function take(event: PointerEvent, straight: number) {
  touched = straight
  chosen.ask()
  if (props.locked) return
  grab(event, straight, svg.value!.getScreenCTM()!.inverse())
  ;(event.target as Element).setPointerCapture(event.pointerId)
}
</script>

<template>
  <div class="frame">
    <svg
      ref="svg"
      class="wall by-itself"
      :viewBox="`${view.x} ${view.y} ${view.width} ${view.height}`"
      role="img"
      :aria-label="`${run.name}: ${run.straights.length} straights`"
      @pointermove="move"
      @pointerup="drop"
      @pointercancel="drop"
    >
      <defs>
        <pattern id="wall-grid" width="100" height="100" patternUnits="userSpaceOnUse">
          <path d="M100 0H0V100" fill="none" class="grid" />
        </pattern>
      </defs>
      <rect :x="view.x" :y="view.y" :width="view.width" :height="view.height" fill="url(#wall-grid)" />
      <path :d="drawn.path" class="tube" :style="{ strokeWidth: Math.max(run.sizeMm, 5 * scale) }" />
      <path :d="drawn.path" class="core" :style="{ strokeWidth: 1.4 * scale }" />
      <path v-if="over" :d="over.path" class="measured" :style="{ strokeWidth: 4 * scale }" />
      <g
        v-for="(at, i) in supports ?? []"
        :key="`u${i}`"
        :transform="`translate(${project(at).x} ${project(at).y})`"
      >
        <rect :x="-4 * scale" :y="-11 * scale" :width="8 * scale" :height="22 * scale" class="saddle" />
      </g>
      <g v-for="({ x, y, corner }, i) in drawn.corners" :key="`c${i}`">
        <rect
          v-if="corner.joint === 'box' || corner.joint === 'end' || corner.joint === 'start'"
          :x="x - 15 * scale"
          :y="y - 15 * scale"
          :width="30 * scale"
          :height="30 * scale"
          class="box"
        />
        <rect
          v-else-if="corner.joint === 'coupler'"
          :x="x - 16 * scale"
          :y="y - 9 * scale"
          :width="32 * scale"
          :height="18 * scale"
          class="box"
        />
        <circle v-else-if="corner.joint === 'inspection'" :cx="x" :cy="y" :r="14 * scale" class="box" />
      </g>
      <text
        v-for="label in labels"
        :key="`t${label.i}`"
        :x="label.x"
        :y="label.y"
        text-anchor="middle"
        :font-size="LABEL_PX * scale"
        class="label"
        :class="{ wrong: wrong.has(label.i), on: selected === label.i }"
      >
        {{ label.text }}
      </text>
      <circle
        v-for="end in ends"
        :key="`h${end.i}`"
        :cx="end.x"
        :cy="end.y"
        :r="13 * scale"
        class="handle"
        :class="{ on: selected === end.i, locked }"
        :data-testid="`corner-${end.i + 1}`"
        @pointerdown="take($event, end.i)"
      />
    </svg>
  </div>
</template>

<style scoped>
.frame {
  min-width: 0;
  height: 100%;
}
.wall {
  width: 100%;
  height: 100%;
  min-height: 300px;
  background: var(--raised);
  border: 1px solid var(--hem);
  touch-action: none;
  display: block;
}
/* Of a fixed size there, so that a drag lays out the drawing and not the page. */
@media (min-width: 1001px) {
  .wall {
    contain: size layout;
  }
}
.grid {
  stroke: var(--hem);
  stroke-width: 1;
}
.tube {
  fill: none;
  stroke: var(--hem-strong);
  stroke-linejoin: round;
  stroke-linecap: round;
}
.core {
  fill: none;
  stroke: var(--indigo);
  stroke-dasharray: 10 6;
}
.measured {
  fill: none;
  stroke: var(--madder);
  stroke-linejoin: round;
}
.box {
  fill: var(--panel);
  stroke: var(--ink);
  stroke-width: 2.5;
  vector-effect: non-scaling-stroke;
}
.saddle {
  fill: var(--turmeric);
  stroke: var(--ink);
  stroke-width: 1;
  vector-effect: non-scaling-stroke;
}
.label {
  font-family: var(--mono);
  font-weight: var(--strong);
  fill: var(--ink);
  paint-order: stroke;
  stroke: var(--raised);
  stroke-width: 5px;
  vector-effect: non-scaling-stroke;
}
.label.wrong {
  fill: var(--madder-text);
}
.label.on {
  fill: var(--indigo-text);
  text-decoration: underline;
}
.handle {
  fill: transparent;
  stroke: transparent;
  cursor: grab;
}
.handle:hover,
.handle.on {
  stroke: var(--indigo);
  stroke-width: 2.5;
  vector-effect: non-scaling-stroke;
}
.handle.locked {
  cursor: pointer;
}
</style>
