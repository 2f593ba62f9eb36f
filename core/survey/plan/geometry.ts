/** A place on a plan, in the plan's own units, y downward. */
export interface Spot {
  readonly x: number
  readonly y: number
}
export interface Leg {
  readonly from: Spot
  readonly to: Spot
}

export const distance = (a: Spot, b: Spot): number => Math.hypot(a.x - b.x, a.y - b.y)

export const legsOf = (line: readonly Spot[]): Leg[] => line.slice(1).map((to, i) => ({ from: line[i]!, to }))

export const lengthOf = (line: readonly Spot[]): number =>
  legsOf(line).reduce((sum, { from, to }) => sum + distance(from, to), 0)

/** The outline of an area, closed. */
export const outlineOf = (corners: readonly Spot[]): Leg[] =>
  corners.map((from, i) => ({ from, to: corners[(i + 1) % corners.length]! }))

/** The place on a leg that is nearest to a spot. */
export function nearestOn({ from, to }: Leg, spot: Spot): Spot {
  const [dx, dy] = [to.x - from.x, to.y - from.y]
  const square = dx ** 2 + dy ** 2
  if (square === 0) return from
  const along = ((spot.x - from.x) * dx + (spot.y - from.y) * dy) / square
  const t = Math.min(1, Math.max(0, along))
  return { x: from.x + t * dx, y: from.y + t * dy }
}

export const distanceTo = (leg: Leg, spot: Spot): number => distance(nearestOn(leg, spot), spot)

/** Where two legs cross or touch; undefined where they do not, or run along each other. */
export function crossing(a: Leg, b: Leg): Spot | undefined {
  const [ax, ay] = [a.to.x - a.from.x, a.to.y - a.from.y]
  const [bx, by] = [b.to.x - b.from.x, b.to.y - b.from.y]
  const turn = ax * by - ay * bx
  if (Math.abs(turn) < 1e-12) return undefined
  const [dx, dy] = [b.from.x - a.from.x, b.from.y - a.from.y]
  const onA = (dx * by - dy * bx) / turn
  const onB = (dx * ay - dy * ax) / turn
  const isOn = (share: number) => share >= -1e-9 && share <= 1 + 1e-9
  return isOn(onA) && isOn(onB) ? { x: a.from.x + onA * ax, y: a.from.y + onA * ay } : undefined
}

/** Area inside an outline, plan units squared: the surveyor's formula. */
export function areaOf(corners: readonly Spot[]): number {
  const twice = outlineOf(corners).reduce((sum, { from, to }) => sum + from.x * to.y - to.x * from.y, 0)
  return Math.abs(twice) / 2
}

/** Inside an outline, or on it. */
export function isInside(corners: readonly Spot[], spot: Spot): boolean {
  let isIn = false
  for (const leg of outlineOf(corners)) {
    if (distanceTo(leg, spot) < 1e-9) return true
    const { from, to } = leg
    if (from.y > spot.y !== to.y > spot.y) {
      const at = from.x + ((spot.y - from.y) / (to.y - from.y)) * (to.x - from.x)
      if (spot.x < at) isIn = !isIn
    }
  }
  return isIn
}

/** How far a spot lies outside an area; 0 inside it. */
export const distanceToArea = (corners: readonly Spot[], spot: Spot): number =>
  isInside(corners, spot) ? 0 : Math.min(...outlineOf(corners).map((leg) => distanceTo(leg, spot)))

/** Spots along a line, `every` apart and both ends, for what changes on the way. */
export function spotsAlong(line: readonly Spot[], every: number): Spot[] {
  const spots = legsOf(line).flatMap(({ from, to }) => {
    const n = Math.max(1, Math.ceil(distance(from, to) / every))
    return Array.from({ length: n }, (_, i) => ({
      x: from.x + ((to.x - from.x) * i) / n,
      y: from.y + ((to.y - from.y) * i) / n,
    }))
  })
  return line.length > 0 ? [...spots, line.at(-1)!] : []
}
