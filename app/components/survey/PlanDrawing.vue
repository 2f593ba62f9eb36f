<script setup lang="ts">
import { distance, distanceTo, legsOf, lengthOf, type Spot } from '#core/survey/plan/geometry'
import type { Plan, Route } from '#core/survey/plan/plan'
import { lineOf, measureRoute } from '#core/survey/plan/route'
import { CABLE_ZONE_M, levelZones, zoneReach } from '#core/survey/plan/zones'
import type { SiteShown } from '#core/survey/site/site'
import { FIXTURE_TEXT, levelSays } from '#words/survey/items'

/** The plan: walls, rooms, zones, points and routes to scale, over what the site or a picture shows. */
const {
  plan,
  scale,
  drawn = [],
  picked = null,
  base = null,
  image = '',
  isDrawing = false,
} = defineProps<{
  plan: Plan
  scale: number | undefined
  drawn?: readonly Spot[]
  picked?: string | null
  base?: SiteShown['plan'] | null
  image?: string
  isDrawing?: boolean
}>()
const emit = defineEmits<{ tap: [at: Spot]; pick: [box: string] }>()

const BARE = { left: 0, top: 0, right: 720, bottom: 440 }
const MARGIN = 40
/** Everything that is drawn fits, with room round it. */
const frame = computed(() => {
  const spots = [
    ...plan.walls.flatMap(({ line }) => line),
    ...plan.rooms.flatMap(({ corners }) => corners),
    ...(base?.walls.flatMap(({ line }) => line) ?? []),
    ...plan.points,
  ]
  if (spots.length === 0) return BARE
  const [xs, ys] = [spots.map(({ x }) => x), spots.map(({ y }) => y)]
  return {
    left: Math.min(...xs) - MARGIN,
    top: Math.min(...ys) - MARGIN,
    right: Math.max(...xs) + MARGIN * 2,
    bottom: Math.max(...ys) + MARGIN,
  }
})
const viewBox = computed(() => {
  const { left, top, right, bottom } = frame.value
  return `${left} ${top} ${right - left} ${bottom - top}`
})
const path = (spots: readonly Spot[], isClosed = false): string =>
  spots.map(({ x, y }, i) => `${i === 0 ? 'M' : 'L'}${x} ${y}`).join('') + (isClosed ? 'Z' : '')
const middle = (corners: readonly Spot[]): Spot => ({
  x: corners.reduce((sum, { x }) => sum + x, 0) / corners.length,
  y: corners.reduce((sum, { y }) => sum + y, 0) / corners.length,
})
/** An opening in the wall that is nearest; before there is a scale it is drawn as wide as it is tapped. */
function opening(door: Plan['doors'][number]): Spot[] {
  const legs = plan.walls.flatMap(({ line }) => legsOf(line))
  const [first] = legs
  if (!first) return [door, door]
  const wall = legs.reduce(
    (best, leg) => (distanceTo(leg, door) < distanceTo(best, door) ? leg : best),
    first,
  )
  const half = scale ? door.widthM / scale / 2 : 12
  const long = distance(wall.from, wall.to) || 1
  const [dx, dy] = [((wall.to.x - wall.from.x) / long) * half, ((wall.to.y - wall.from.y) / long) * half]
  return [
    { x: door.x - dx, y: door.y - dy },
    { x: door.x + dx, y: door.y + dy },
  ]
}
/** The middle of the longest leg, where a length is read best. */
function labelAt(route: Route): Spot {
  const line = lineOf(plan, route)
  const legs = line.slice(1).map((to, i) => [line[i]!, to] as const)
  const longest = legs.reduce((a, b) => (lengthOf(b) > lengthOf(a) ? b : a), legs[0] ?? [line[0]!, line[0]!])
  return middle(longest)
}
const lengthText = (route: Route): string => {
  const measure = measureRoute(plan, route)
  return measure ? `${measure.lengthM.toFixed(1)} m` : ''
}
const svg = ref<SVGSVGElement | null>(null)
function tap(event: PointerEvent) {
  if (!isDrawing || !svg.value) return
  const at = new DOMPoint(event.clientX, event.clientY).matrixTransform(svg.value.getScreenCTM()!.inverse())
  emit('tap', { x: at.x, y: at.y })
}
const ways = (route: Route) => `way ${route.way}`
</script>

<template>
  <svg
    ref="svg"
    :viewBox="viewBox"
    class="plan"
    :class="{ drawing: isDrawing }"
    role="img"
    aria-label="Plan"
    data-testid="plan"
    @pointerdown="tap"
  >
    <image v-if="image" :href="`/api/photos/${image}`" x="0" y="0" width="720" opacity="0.5" />
    <g v-for="room in plan.rooms" :key="room.id" @click="emit('pick', `room.${room.id}`)">
      <path
        :d="path(room.corners, true)"
        class="room"
        :class="[room.kind, { on: picked === `room.${room.id}` }]"
      />
      <text :x="middle(room.corners).x" :y="middle(room.corners).y" class="name">{{ room.name }}</text>
      <text :x="middle(room.corners).x" :y="middle(room.corners).y + 15" class="fine">
        {{ room.ambientC }} °C
      </text>
    </g>
    <template v-if="plan.rooms.length === 0">
      <text v-for="label in base?.labels ?? []" :key="label.text" :x="label.x" :y="label.y" class="name">
        {{ label.text }}
      </text>
    </template>
    <path
      v-for="one in base?.fixtures ?? []"
      :key="`b${one.id}`"
      :d="path(one.corners, true)"
      class="there"
    />
    <g v-for="fixture in plan.fixtures" :key="fixture.id" @click="emit('pick', `fixture.${fixture.id}`)">
      <template v-if="scale">
        <path
          v-for="reach in zoneReach(fixture, scale).toReversed()"
          :key="reach.zone"
          :d="path(fixture.corners, true)"
          class="zone"
          :class="`z${reach.zone}`"
          :style="{ strokeWidth: Math.max(1.5, 2 * reach.by) }"
        />
      </template>
      <path
        :d="path(fixture.corners, true)"
        class="fixture"
        :class="{ on: picked === `fixture.${fixture.id}` }"
      />
      <title>{{ FIXTURE_TEXT[fixture.kind] }}</title>
    </g>
    <path v-for="wall in plan.walls" :key="wall.id" :d="path(wall.line)" class="wall" />
    <template v-if="scale">
      <template v-for="wall in plan.walls" :key="`z${wall.id}`">
        <circle
          v-for="(corner, i) in wall.line"
          :key="i"
          :cx="corner.x"
          :cy="corner.y"
          :r="CABLE_ZONE_M / scale"
          class="cable-zone"
        />
      </template>
      <path
        v-for="({ leg, points }, i) in levelZones(plan)"
        :key="`l${i}`"
        :d="path([leg.from, leg.to])"
        class="cable-level"
        :style="{ strokeWidth: (2 * CABLE_ZONE_M) / scale }"
      >
        <title>{{ levelSays(points) }}</title>
      </path>
      <circle
        v-for="point in levelZones(plan).flatMap(({ points }) => points)"
        :key="`u${point.id}`"
        :cx="point.x"
        :cy="point.y"
        :r="CABLE_ZONE_M / scale"
        class="cable-zone"
      />
    </template>
    <path
      v-for="door in plan.doors"
      :key="door.id"
      :d="path(opening(door))"
      class="door"
      :class="{ on: picked === `door.${door.id}` }"
      @click="emit('pick', `door.${door.id}`)"
    />
    <g v-for="route in plan.routes" :key="route.id" @click="emit('pick', `route.${route.id}`)">
      <path :d="path(lineOf(plan, route))" :class="[ways(route), { on: picked === `route.${route.id}` }]" />
      <text
        v-if="lineOf(plan, route).length > 1"
        :x="labelAt(route).x"
        :y="labelAt(route).y - 6"
        class="length"
      >
        {{ lengthText(route) }}
      </text>
    </g>
    <g v-for="point in plan.points" :key="point.id" @click="emit('pick', `point.${point.id}`)">
      <circle
        :cx="point.x"
        :cy="point.y"
        r="6"
        class="point"
        :class="{ on: picked === `point.${point.id}` }"
      />
      <text :x="point.x + 9" :y="point.y + 16" class="fine start">{{ point.name }}</text>
    </g>
    <g v-if="plan.board">
      <rect :x="plan.board.x - 8" :y="plan.board.y - 11" width="16" height="22" class="board" />
      <text :x="plan.board.x + 12" :y="plan.board.y - 8" class="fine start">board</text>
    </g>
    <rect
      v-else-if="base"
      :x="base.board.x - 8"
      :y="base.board.y - 11"
      width="16"
      height="22"
      class="there"
    />
    <g v-if="plan.known">
      <line
        :x1="plan.known.from.x"
        :y1="plan.known.from.y - 14"
        :x2="plan.known.to.x"
        :y2="plan.known.to.y - 14"
        class="known"
      />
      <text
        :x="(plan.known.from.x + plan.known.to.x) / 2"
        :y="(plan.known.from.y + plan.known.to.y) / 2 - 20"
        class="fine known-text"
      >
        {{ plan.known.metres ? `${plan.known.metres} m` : 'how long is it?' }}
      </text>
    </g>
    <path v-if="drawn.length" :d="path(drawn)" class="outline-drawn" />
    <circle v-for="(spot, i) in drawn" :key="i" :cx="spot.x" :cy="spot.y" r="4" class="dot" />
  </svg>
</template>

<style scoped src="./plan-drawing.css"></style>
