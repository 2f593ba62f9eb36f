import { cornersOf, lengthOf, plus } from './geometry'
import type { ContainmentRun } from './containment-run'

/** Between two points at which one can draw: how far, and how many right angles together. */
export function drawSections(
  run: ContainmentRun,
): { readonly straight: number; readonly lengthMm: number; readonly rightAngles: number }[] {
  const corners = cornersOf(run)
  const sections: { straight: number; lengthMm: number; rightAngles: number }[] = []
  let [length, angle] = [0, 0]
  for (let i = 1; i < corners.length; i += 1) {
    const { at, joint, angleDeg, straight } = corners[i]!
    length += lengthOf(plus(at, corners[i - 1]!.at, -1))
    if (joint === 'bend' || joint === 'set') angle += angleDeg
    else if (joint !== 'coupler') {
      sections.push({ straight, lengthMm: length, rightAngles: angle / 90 })
      ;[length, angle] = [0, 0]
    }
  }
  return sections
}

/**
 * How hard it pulls: what is drawn drags along the length, and each bend multiplies the pull by e^(μθ). Friction of
 * new insulation in conduit about 0.4; common practice, no source.
 */
const FRICTION = 0.4
/** Against a straight pull of this length; what is shorter than a metre counts as one. */
const USUAL_MM = 5000
const LEAST_MM = 1000
/** Up to here a pull is easy, and fair; common practice, no source. */
const EASY_FACTOR = 2
const FAIR_FACTOR = 3.6
export type Pull = 'easy' | 'fair' | 'hard'
export function pullOf({
  rightAngles,
  lengthMm,
}: {
  readonly rightAngles: number
  readonly lengthMm: number
}): { readonly factor: number; readonly pull: Pull } {
  const bends = Math.exp((FRICTION * rightAngles * Math.PI) / 2)
  const factor = (Math.max(LEAST_MM, lengthMm) / USUAL_MM) * bends
  if (factor < EASY_FACTOR) return { factor, pull: 'easy' }
  return { factor, pull: factor < FAIR_FACTOR ? 'fair' : 'hard' }
}
