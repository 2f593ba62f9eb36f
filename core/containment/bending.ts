import { radians } from './geometry'
import type { Former } from './containment-run'

/** From the corner to where the bend begins, along the centre line, mm: R × tan(θ ÷ 2). */
export const tangentMm = ({ radiusMm }: Pick<Former, 'radiusMm'>, angleDeg: number): number =>
  radiusMm * Math.tan(radians(angleDeg) / 2)

/** Length of the bent piece along the centre line, mm: R × θ. */
export const arcMm = ({ radiusMm }: Pick<Former, 'radiusMm'>, angleDeg: number): number =>
  radiusMm * radians(angleDeg)

/** What a bend saves against its corner, mm: twice the tangent less the arc. */
export const gainMm = (former: Pick<Former, 'radiusMm'>, angleDeg: number): number =>
  2 * tangentMm(former, angleDeg) - arcMm(former, angleDeg)

/** Tube between the two corners of an offset, mm: height ÷ sin. */
export const offsetSlopeMm = (heightMm: number, angleDeg: number): number =>
  heightMm / Math.sin(radians(angleDeg))

/** How much shorter an offset makes the run along the wall, mm: slope less travel. */
export const offsetShrinkMm = (heightMm: number, angleDeg: number): number =>
  offsetSlopeMm(heightMm, angleDeg) - heightMm / Math.tan(radians(angleDeg))

/** A test piece: its length, where it was marked, and both legs after a right angle, all mm. */
export interface TestPiece {
  readonly lengthMm: number
  readonly markMm: number
  /** The leg on which the mark was, to the outside of the other one. */
  readonly markedLegMm: number
  readonly otherLegMm: number
  readonly outsideMm: number
}

export type Calibration =
  | { readonly ok: true; readonly former: Pick<Former, 'radiusMm' | 'startMm'>; readonly gainMm: number }
  | { readonly ok: false; readonly problem: 'noGain' | 'tooTight' | 'tooWide' }

/** Bent inside 2.5 diameters a conduit crushes; common practice, no source. Beyond 15 it is no bend. */
const LEAST_RADII = 2
const MOST_RADII = 15
const GAIN_PER_RADIUS = 2 - Math.PI / 2

/**
 * What the bench's former does, from one piece bent to a right angle. Centre line to centre line both legs
 * together are longer than the tube by the gain.
 */
export function calibrate({ lengthMm, markMm, markedLegMm, otherLegMm, outsideMm }: TestPiece): Calibration {
  const [a, b] = [markedLegMm - outsideMm / 2, otherLegMm - outsideMm / 2]
  const gain = a + b - lengthMm
  if (gain <= 0) return { ok: false, problem: 'noGain' }
  const radiusMm = gain / GAIN_PER_RADIUS
  if (radiusMm < LEAST_RADII * outsideMm) return { ok: false, problem: 'tooTight' }
  if (radiusMm > MOST_RADII * outsideMm) return { ok: false, problem: 'tooWide' }
  return { ok: true, gainMm: gain, former: { radiusMm, startMm: a - radiusMm - markMm } }
}
