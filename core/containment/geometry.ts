import { DIRECTIONS, type ContainmentRun, type Direction, type Joint, type Straight } from './containment-run'

export type Vector = readonly [x: number, y: number, z: number]

export const AXES: Readonly<Record<Direction, Vector>> = {
  right: [1, 0, 0],
  left: [-1, 0, 0],
  up: [0, 1, 0],
  down: [0, -1, 0],
  out: [0, 0, 1],
  back: [0, 0, -1],
}

export const plus = (a: Vector, b: Vector, factor = 1): Vector => [
  a[0] + b[0] * factor,
  a[1] + b[1] * factor,
  a[2] + b[2] * factor,
]
export const dot = (a: Vector, b: Vector): number => a[0] * b[0] + a[1] * b[1] + a[2] * b[2]
export const cross = (a: Vector, b: Vector): Vector => [
  a[1] * b[2] - a[2] * b[1],
  a[2] * b[0] - a[0] * b[2],
  a[0] * b[1] - a[1] * b[0],
]
export const lengthOf = (a: Vector): number => Math.hypot(...a)
const unit = (a: Vector): Vector => plus([0, 0, 0], a, 1 / lengthOf(a))
export const radians = (degrees: number): number => (degrees * Math.PI) / 180

/** A corner of the run: where its centre lines meet. */
export interface Corner {
  readonly at: Vector
  /** Which straight it ends, from 0; of the very first corner −1. */
  readonly straight: number
  /** What is there: the joint of the straight, or a set of a detour. */
  readonly joint: Joint | 'start' | 'set'
  /** By how much the way turns, °. */
  readonly angleDeg: number
}

/** Direction of each straight: its axis, or the set's angle from the one before towards that axis. */
export function directionsOf(straights: readonly Straight[]): Vector[] {
  const points: Vector[] = []
  straights.forEach(({ to, setDeg }, i) => {
    const before = points[i - 1]
    const axis = AXES[to]
    points.push(
      !before || setDeg >= 90 || Math.abs(dot(before, axis)) > 0.999
        ? axis
        : unit(plus(plus([0, 0, 0], before, Math.cos(radians(setDeg))), axis, Math.sin(radians(setDeg)))),
    )
  })
  return points
}

/**
 * Every corner from the first box to the last, mm, the first at the origin. A bridge comes back to its line,
 * an offset does not.
 */
export function cornersOf({ straights }: Pick<ContainmentRun, 'straights'>): Corner[] {
  const directions = directionsOf(straights)
  const points: { at: Vector; straight: number; joint: Corner['joint'] }[] = [
    { at: [0, 0, 0], straight: -1, joint: 'start' },
  ]
  let base: Vector = [0, 0, 0]
  straights.forEach(({ lengthMm, then, detour }, i) => {
    const along = directions[i]!
    let end = plus(base, along, lengthMm)
    if (detour) {
      const side = AXES[detour.towards]
      const travel = detour.heightMm / Math.tan(radians(detour.angleDeg))
      const first = plus(base, along, detour.atMm)
      const up = plus(plus(first, along, travel), side, detour.heightMm)
      points.push({ at: first, straight: i, joint: 'set' }, { at: up, straight: i, joint: 'set' })
      if (detour.kind === 'bridge') {
        const over = plus(up, along, detour.flatMm)
        points.push(
          { at: over, straight: i, joint: 'set' },
          { at: plus(plus(over, along, travel), side, -detour.heightMm), straight: i, joint: 'set' },
        )
      } else end = plus(end, side, detour.heightMm)
    }
    points.push({ at: end, straight: i, joint: then })
    base = end
  })
  return points.map((point, i) => ({
    ...point,
    angleDeg: i === 0 || i === points.length - 1 ? 0 : turnAt(points[i - 1]!.at, point.at, points[i + 1]!.at),
  }))
}

/** The axis nearest to what of `next` lies square to `leg`: where the way turns to. */
export function nearestAxis(next: Vector, leg: Vector): Direction {
  const turned = plus(next, leg, -dot(next, leg) / dot(leg, leg))
  return [...DIRECTIONS].sort((a, b) => dot(AXES[b], turned) - dot(AXES[a], turned))[0]!
}

/** By how much the way turns at b, °. */
function turnAt(a: Vector, b: Vector, c: Vector): number {
  const [before, after] = [plus(b, a, -1), plus(c, b, -1)]
  const cosine = dot(before, after) / (lengthOf(before) * lengthOf(after))
  return (Math.acos(Math.max(-1, Math.min(1, cosine))) * 180) / Math.PI
}

/** Shortest distance between two stretches of the run, mm. */
export function distanceBetween(a: readonly [Vector, Vector], b: readonly [Vector, Vector]): number {
  const [u, v, w] = [plus(a[1], a[0], -1), plus(b[1], b[0], -1), plus(a[0], b[0], -1)]
  const [uu, uv, vv, uw, vw] = [dot(u, u), dot(u, v), dot(v, v), dot(u, w), dot(v, w)]
  const clamp = (value: number) => Math.max(0, Math.min(1, value))
  const across = uu * vv - uv * uv
  let s = across < 1e-9 ? 0 : clamp((uv * vw - vv * uw) / across)
  const t = clamp(vv < 1e-9 ? 0 : (uv * s + vw) / vv)
  s = clamp(uu < 1e-9 ? 0 : (uv * t - uw) / uu)
  return lengthOf(plus(plus(plus(a[0], u, s), b[0], -1), v, -t))
}
