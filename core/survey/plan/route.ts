import { distance, distanceToArea, isInside, lengthOf, spotsAlong, type Spot } from './geometry'
import { scaleOf, type Plan, type PlanPoint, type Room, type Route } from './plan'

/** What is measured along a route. */
export interface RouteMeasure {
  /** On the plan, m. */
  readonly levelM: number
  /** Up and down: from the board, to each point and back, m. */
  readonly riseM: number
  readonly lengthM: number
  /** Rooms that it goes through, in the order met. */
  readonly rooms: readonly Room[]
  /** Warmest of them, °C; null where it goes through none that is drawn. */
  readonly ambientC: number | null
  /** Of it inside thermal insulation, m. */
  readonly insulatedM: number
}

/** The line on the plan: board, bends, and at last the points. */
export function lineOf({ board, points }: Plan, route: Route): Spot[] {
  if (!board) return []
  return [board, ...route.via, ...pointsOf(points, route).slice(-1)]
}

/** Its points in their order; those that are no longer there are left out. */
export const pointsOf = (points: readonly PlanPoint[], route: Route): PlanPoint[] =>
  route.points.flatMap((id) => points.find((point) => point.id === id) ?? [])

/** Spots so far apart are looked at along a way, m. */
const STEP_M = 0.1

/**
 * How long the cable of a route is, m: the way on the plan, points beside it reached there and back, and every rise
 * and fall. Undefined without a scale, a board or a point.
 */
export function measureRoute(plan: Plan, route: Route): RouteMeasure | undefined {
  const scale = scaleOf(plan)
  const served = pointsOf(plan.points, route)
  const last = served.at(-1)
  if (scale === undefined || !plan.board || !last) return undefined
  const line = lineOf(plan, route)
  const between = served.slice(0, -1)
  // A point beside the way is reached and left again, but the cable goes on from it: there and back.
  const aside = between.reduce((sum, point) => sum + 2 * distanceFrom(line, point, STEP_M / scale), 0)
  const levelM = (lengthOf(line) + aside) * scale
  const rise = (heightM: number) => Math.abs(route.pathHeightM - heightM)
  const riseM =
    rise(plan.board.heightM) +
    between.reduce((sum, { heightM }) => sum + 2 * rise(heightM), rise(last.heightM))
  const { rooms, inside } = roomsAlong(plan, line, scale)
  const isHidden = route.way === 'ceiling-void' || route.way === 'chase'
  return {
    levelM,
    riseM,
    lengthM: levelM + riseM,
    rooms,
    ambientC: rooms.length > 0 ? Math.max(...rooms.map(({ ambientC }) => ambientC)) : null,
    insulatedM: isHidden
      ? rooms.filter(({ isInsulated }) => isInsulated).reduce((sum, room) => sum + inside.get(room.id)!, 0)
      : 0,
  }
}

const distanceFrom = (line: readonly Spot[], spot: Spot, every: number): number =>
  Math.min(...spotsAlong(line, every).map((one) => distance(one, spot)))

function roomsAlong({ rooms }: Plan, line: readonly Spot[], scale: number) {
  const spots = spotsAlong(line, STEP_M / scale)
  const stepM = (lengthOf(line) * scale) / Math.max(1, spots.length - 1)
  const inside = new Map<string, number>()
  const met: Room[] = []
  for (const spot of spots) {
    const room = rooms.find(({ corners }) => isInside(corners, spot))
    if (!room) continue
    if (!inside.has(room.id)) met.push(room)
    inside.set(room.id, (inside.get(room.id) ?? 0) + stepM)
  }
  return { rooms: met, inside }
}

/** Routes nearer than this run together, m; two cable diameters and the width of trunking in between. */
const TOGETHER_M = 0.15
/** A meeting shorter than this is not counted, m: at the board all meet; common practice, no source. */
export const SHORT_MEETING_M = 1

/**
 * Circuits that run together along the worst part of this route, itself included: those that keep beside it, the same
 * way at the same height, for more than `SHORT_MEETING_M`.
 */
export function groupedAlong(
  plan: Plan,
  route: Route,
): { readonly circuits: number; readonly with: readonly string[] } {
  const scale = scaleOf(plan)
  if (scale === undefined) return { circuits: 1, with: [] }
  const spots = spotsAlong(lineOf(plan, route), STEP_M / scale)
  const beside = plan.routes
    .filter(
      (other) =>
        other.id !== route.id &&
        other.way === route.way &&
        Math.abs(other.pathHeightM - route.pathHeightM) <= TOGETHER_M,
    )
    .map((other) => ({ name: other.name, near: nearness(plan, other, spots, TOGETHER_M / scale) }))
    .filter(({ near }) => near.filter(Boolean).length * STEP_M > SHORT_MEETING_M)
  const most = Math.max(0, ...spots.map((_, i) => beside.filter(({ near }) => near[i]).length))
  return { circuits: 1 + most, with: beside.map(({ name }) => name) }
}

function nearness(plan: Plan, other: Route, spots: readonly Spot[], within: number): boolean[] {
  const line = lineOf(plan, other)
  return spots.map((spot) => line.slice(1).some((to, i) => distanceToArea([line[i]!, to], spot) <= within))
}

/** The room that a spot lies in; undefined where none is drawn. */
export const roomAt = ({ rooms }: Pick<Plan, 'rooms'>, spot: Spot): Room | undefined =>
  rooms.find(({ corners }) => isInside(corners, spot))
