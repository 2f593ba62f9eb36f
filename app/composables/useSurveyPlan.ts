import { computed, ref } from 'vue'
import type { Spot } from '#core/survey/plan/geometry'
import { distance, distanceTo, legsOf, nearestOn } from '#core/survey/plan/geometry'
import { alongWalls } from '#core/survey/plan/along-walls'
import { scaleOf, type Known, type Plan, type Route } from '#core/survey/plan/plan'
import { partText, readPlan, type PlanPart } from '#core/survey/plan/read-plan'
import type { Fields } from '~/utils/document-shapes'

interface Sheet {
  readonly fields: Fields
  readonly write: (name: string, text: string) => void
}

export const PLAN_TOOLS = [
  'pick',
  'scale',
  'wall',
  'room',
  'door',
  'fixture',
  'board',
  'point',
  'route',
] as const
export type PlanTool = (typeof PLAN_TOOLS)[number]

/** Nearer than this a tap means the corner or wall that is there, in plan units. */
const SNAP = 9
const GRID = 5
/** Without the tail of the arithmetic. */
const tidy = (value: number): number => Math.round(value * 100) / 100
const onGrid = (value: number): number => Math.round(value / GRID) * GRID

/** Which of what is drawn needs how many taps; the others are done by the person. */
const TAPS: Readonly<Partial<Record<PlanTool, number>>> = {
  scale: 2,
  door: 1,
  board: 1,
  point: 1,
  fixture: 2,
}

/** A plan as it is drawn: what is there, what is being drawn, and every change as a box of the survey. */
export function useSurveyPlan({ fields, write }: Sheet) {
  const plan = computed<Plan>(() => readPlan(fields).plan)
  const scale = computed(() => scaleOf(plan.value))
  const tool = ref<PlanTool>('pick')
  const drawn = ref<Spot[]>([])
  /** What keeps a drawing from being ended; empty for nothing. */
  const missing = ref('')
  /** The box of what is picked, such as `room.k3x9`. */
  const picked = ref<string | null>(null)

  function choose(next: PlanTool): void {
    tool.value = next
    cancel()
    if (next !== 'pick') picked.value = null
  }

  /** A tap lands on a corner that is near, else on a wall that is near, else on the grid. */
  function snapped(spot: Spot): Spot {
    const corners = [
      ...plan.value.walls.flatMap(({ line }) => line),
      ...plan.value.rooms.flatMap((room) => room.corners),
      ...plan.value.points,
    ]
    const corner = corners.find((one) => distance(one, spot) < SNAP)
    if (corner) return { x: corner.x, y: corner.y }
    const wall = plan.value.walls
      .flatMap(({ line }) => legsOf(line))
      .find((leg) => distanceTo(leg, spot) < SNAP)
    const { x, y } = wall ? nearestOn(wall, { x: onGrid(spot.x), y: onGrid(spot.y) }) : spot
    return wall ? { x: tidy(x), y: tidy(y) } : { x: onGrid(x), y: onGrid(y) }
  }

  function put(part: PlanPart, thing: object): void {
    const box = `${part}.${crypto.randomUUID().slice(0, 8)}`
    write(box, partText(thing))
    picked.value = box
  }

  function tap(at: Spot): void {
    if (tool.value === 'pick') return
    drawn.value = [...drawn.value, snapped(at)]
    if (drawn.value.length === TAPS[tool.value]) finish()
  }

  /** Ends what is being drawn. With too few taps it says what is missing, and keeps them. */
  function finish(): void {
    const made = MAKERS[tool.value]?.(drawn.value, { plan: plan.value, put, write })
    missing.value = made === false ? (TOO_FEW[tool.value] ?? '') : ''
    if (made === false) return
    drawn.value = []
    tool.value = 'pick'
  }
  function cancel(): void {
    drawn.value = []
    missing.value = ''
  }

  /** A thing's box with one of its values changed. */
  function change(box: string, parts: Readonly<Record<string, unknown>>): void {
    write(box, JSON.stringify({ ...(JSON.parse(fields[box] || '{}') as object), ...parts }))
  }
  function remove(box: string): void {
    write(box, '')
    if (picked.value === box) picked.value = null
  }

  /** Leads a route from the board to its last point along the walls; false where no wall leads there. */
  function lead(route: Route): boolean {
    const { board, points } = plan.value
    const last = points.find(({ id }) => id === route.points.at(-1))
    const way = board && last && alongWalls(plan.value, board, last, route.pathHeightM)
    if (!way) return false
    // The ends are the board and the point themselves.
    change(`route.${route.id}`, {
      via: way.filter((spot) => distance(spot, board) > 1 && distance(spot, last) > 1),
    })
    return true
  }

  /** The scale line with another length. */
  function setKnown(known: Known): void {
    write('plan.known', JSON.stringify(known))
  }

  return {
    plan,
    scale,
    tool,
    drawn,
    missing,
    picked,
    choose,
    tap,
    finish,
    cancel,
    change,
    remove,
    lead,
    setKnown,
  }
}

const TOO_FEW: Readonly<Partial<Record<PlanTool, string>>> = {
  wall: 'A wall needs two corners. Tap one more.',
  room: 'A room needs three corners. Tap on.',
  route: 'A route leads to a point. Tap the point, or place one first.',
}

interface Making {
  readonly plan: Plan
  readonly put: (part: PlanPart, thing: object) => void
  readonly write: (name: string, text: string) => void
}
type Maker = (spots: readonly Spot[], making: Making) => void | false

/** What the taps of each tool make. */
const MAKERS: Readonly<Partial<Record<PlanTool, Maker>>> = {
  scale: ([from, to], { write }) => write('plan.known', JSON.stringify({ from, to, metres: 0 })),
  wall: (line, { put }) => (line.length < 2 ? false : put('wall', { line })),
  room: (corners, { put, plan }) =>
    corners.length < 3
      ? false
      : put('room', {
          name: `Room ${plan.rooms.length + 1}`,
          kind: 'general',
          corners,
          heightM: 2.4,
          ambientC: 30,
          isInsulated: false,
        }),
  door: ([at], { put }) => put('door', { ...at, widthM: 0.9 }),
  fixture: ([a, b], { put }) =>
    put('fixture', { kind: 'shower-tray', corners: [a!, { x: b!.x, y: a!.y }, b!, { x: a!.x, y: b!.y }] }),
  board: ([at], { write }) => write('plan.board', JSON.stringify({ ...at, heightM: 1.8 })),
  point: ([at], { put, plan }) =>
    put('point', { ...at, name: `Point ${plan.points.length + 1}`, use: 'sockets', heightM: 0.45 }),
  route: (spots, { put, plan }) => {
    const last = plan.points.find((point) => spots.some((spot) => distance(spot, point) < SNAP))
    if (!last) return false
    const via = spots.filter((spot) => plan.points.every((point) => distance(spot, point) >= SNAP))
    const points = plan.points
      .filter((point) => spots.some((spot) => distance(spot, point) < SNAP))
      .sort((a, b) => order(spots, a) - order(spots, b))
      .map(({ id }) => id)
    put('route', {
      name: last.name,
      use: last.use,
      way: 'trunking',
      pathHeightM: 2.4,
      via,
      points,
      loadW: 2000,
    })
  },
}
const order = (spots: readonly Spot[], point: Spot): number =>
  spots.findIndex((spot) => distance(spot, point) < SNAP)
