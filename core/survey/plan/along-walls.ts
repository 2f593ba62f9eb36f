import { crossing, distance, distanceTo, legsOf, nearestOn, type Leg, type Spot } from './geometry'
import { scaleOf, type Plan } from './plan'

/** The opening of a door stands so high, m: a way above it goes over the door; common practice, no source. */
export const DOOR_HEIGHT_M = 2.1

/** Legs of all walls, cut where they meet each other, at these spots, and without what lies in a door. */
function cutWalls(
  { walls, doors }: Plan,
  ends: readonly Spot[],
  doorHalf: (widthM: number) => number,
): Leg[] {
  const whole = walls.flatMap(({ line }) => legsOf(line))
  return whole.flatMap((leg) => {
    const marks = [
      leg.from,
      leg.to,
      ...whole.flatMap((other) => (other === leg ? [] : (crossing(leg, other) ?? []))),
      ...ends.filter((end) => distanceTo(leg, end) < 1e-6),
      ...doors.flatMap((door) => edgesOf(leg, door, doorHalf(door.widthM))),
    ]
    const sorted = [...marks].sort((a, b) => distance(leg.from, a) - distance(leg.from, b))
    return legsOf(sorted).filter(
      ({ from, to }) => distance(from, to) > 1e-9 && !isInDoor({ from, to }, doors, doorHalf),
    )
  })
}

function edgesOf(leg: Leg, door: Spot, half: number): Spot[] {
  const on = nearestOn(leg, door)
  const length = distance(leg.from, leg.to)
  if (half === 0 || length === 0 || distance(on, door) > half) return []
  const step = { x: ((leg.to.x - leg.from.x) / length) * half, y: ((leg.to.y - leg.from.y) / length) * half }
  return [-1, 1].map((way) => nearestOn(leg, { x: on.x + way * step.x, y: on.y + way * step.y }))
}

function isInDoor({ from, to }: Leg, doors: Plan['doors'], doorHalf: (widthM: number) => number): boolean {
  const middle = { x: (from.x + to.x) / 2, y: (from.y + to.y) / 2 }
  return doors.some((door) => doorHalf(door.widthM) > 0 && distance(middle, door) < doorHalf(door.widthM))
}

const keyOf = ({ x, y }: Spot): string => `${x.toFixed(6)} ${y.toFixed(6)}`

/**
 * The shortest way from one place to another along the walls, as the bends between them: each end goes straight to
 * its nearest wall first. A way lower than a door does not cross its opening. Null where no wall leads there.
 */
export function alongWalls(plan: Plan, from: Spot, to: Spot, pathHeightM: number): readonly Spot[] | null {
  const walls = plan.walls.flatMap(({ line }) => legsOf(line))
  if (walls.length === 0) return null
  const [start, end] = [nearestWall(walls, from), nearestWall(walls, to)]
  const scale = scaleOf(plan) ?? 1
  const isOver = pathHeightM >= DOOR_HEIGHT_M
  const legs = cutWalls(plan, [start, end], (widthM) => (isOver ? 0 : widthM / scale / 2))
  const way = shortest(legs, start, end)
  return way && straightened(way)
}

const nearestWall = (walls: readonly Leg[], spot: Spot): Spot =>
  nearestOn(
    walls.reduce((best, leg) => (distanceTo(leg, spot) < distanceTo(best, spot) ? leg : best)),
    spot,
  )

/** Dijkstra's way; a plan has some hundred corners, so the nearest is looked for by going through them. */
function shortest(legs: readonly Leg[], start: Spot, end: Spot): Spot[] | null {
  const next = new Map<string, { readonly spot: Spot; readonly legs: { key: string; length: number }[] }>()
  const node = (spot: Spot) => {
    const key = keyOf(spot)
    if (!next.has(key)) next.set(key, { spot, legs: [] })
    return key
  }
  for (const { from, to } of legs) {
    const [a, b, length] = [node(from), node(to), distance(from, to)]
    next.get(a)!.legs.push({ key: b, length })
    next.get(b)!.legs.push({ key: a, length })
  }
  const [first, last] = [keyOf(start), keyOf(end)]
  const best = new Map<string, number>([[first, 0]])
  const before = new Map<string, string>()
  const open = new Set(next.has(first) ? [first] : [])
  while (open.size > 0) {
    const here = [...open].reduce((a, b) => (best.get(b)! < best.get(a)! ? b : a))
    if (here === last) return trace(before, here).map((key) => next.get(key)!.spot)
    open.delete(here)
    for (const { key, length } of next.get(here)!.legs) {
      const reached = best.get(here)! + length
      if (reached >= (best.get(key) ?? Infinity) - 1e-12) continue
      best.set(key, reached)
      before.set(key, here)
      open.add(key)
    }
  }
  return first === last ? [start] : null
}

function trace(before: ReadonlyMap<string, string>, last: string): string[] {
  const way = [last]
  for (let key = before.get(last); key !== undefined; key = before.get(key)) way.unshift(key)
  return way
}

/** Without the spots that lie on a straight piece. */
const straightened = (way: readonly Spot[]): Spot[] =>
  way.filter((spot, i) => {
    const [before, after] = [way[i - 1], way[i + 1]]
    return !before || !after || distanceTo({ from: before, to: after }, spot) > 1e-6
  })
