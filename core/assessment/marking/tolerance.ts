import type { Step } from '../../design/model/step'

/** A value read from a table is copied, so it must match. */
export const LOOKED_UP_TOLERANCE = 0.005
/** A slip is named only when it explains the answer this well. */
export const SLIP_TOLERANCE = 0.015
/** A hard-rounded answer (9 A for 8.7 A) is taken up to this departure. */
export const ROUNDING_TOLERANCE = 0.05
/** Choices are counted, not measured. */
const EXACT = 1e-6

export interface TypedNumber {
  readonly value: number
  readonly significant: number
}

export const isNear = (a: number, b: number, relative: number): boolean =>
  Math.abs(a - b) <= relative * Math.max(Math.abs(a), Math.abs(b))

/**
 * Does the typed answer agree with the expected value, given how the step's value comes about? `rounding` is
 * the policy for calculated steps.
 */
export function agrees(
  step: Pick<Step<never>, 'kind' | 'tolerance'>,
  typed: TypedNumber,
  expected: number,
  rounding: number,
): boolean {
  if (step.kind === 'chosen') return isNear(typed.value, expected, EXACT)
  if (step.kind === 'looked-up') return isNear(typed.value, expected, LOOKED_UP_TOLERANCE)
  if (isNear(typed.value, expected, step.tolerance ?? rounding)) return true
  const rounded = Number(expected.toPrecision(Math.max(1, typed.significant)))
  return isNear(typed.value, rounded, EXACT) && isNear(typed.value, expected, ROUNDING_TOLERANCE)
}
