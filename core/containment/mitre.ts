import { cross, lengthOf, nearestAxis, plus, radians, type Vector } from './geometry'
import type { ContainmentRun, Direction } from './containment-run'

/** How a piece of trunking is cut where it meets the next one. */
export interface Mitre {
  /** From square, °: half of the turn. */
  readonly cutDeg: number
  /** The long side is longer than the centre line by this, the short side shorter, mm. */
  readonly extraMm: number
  /** On which side of the piece its long side lies. */
  readonly longSide: Direction
}

type Section = Pick<ContainmentRun, 'sizeMm' | 'depthMm'>

/** What is cut across: the width where it turns on the wall, the depth where it turns off it. */
function acrossMm({ sizeMm, depthMm }: Section, leg: Vector, next: Vector): number {
  const normal = cross(leg, next)
  return Math.abs(normal[2]) > Math.SQRT1_2 * lengthOf(normal) ? sizeMm : depthMm
}

/**
 * How far past the corner the long side goes, mm: half of what is cut across times the tangent of half the
 * turn.
 */
export const mitreExtraMm = (section: Section, leg: Vector, next: Vector, angleDeg: number): number =>
  (acrossMm(section, leg, next) / 2) * Math.tan(radians(angleDeg) / 2)

/**
 * The cut of the piece along `own` at the corner where the way turns between `leg` and `next`, in the order
 * of the run; its long side is the outside of the turn.
 */
export function mitreOf(
  section: Section,
  leg: Vector,
  next: Vector,
  angleDeg: number,
  side: 'before' | 'after',
): Mitre {
  // Before the corner the outside is away from where it turns to; behind it, where the way before would have
  // gone on.
  const outside = side === 'before' ? nearestAxis(plus([0, 0, 0], next, -1), leg) : nearestAxis(leg, next)
  return { cutDeg: angleDeg / 2, extraMm: mitreExtraMm(section, leg, next, angleDeg), longSide: outside }
}
