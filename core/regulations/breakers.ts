import { roundTo } from '../units/format'
import { C_MIN, TOUCH_LIMIT_V, U0_V } from './supply'

export type Curve = 'B' | 'C' | 'D'
export type DeviceFamily = 'breaker' | 'rcbo'

/** Standard ratings of miniature breakers and RCBOs, A; BS EN 60898-1 / BS EN 61009-1, from memory. */
export const RATINGS_A: readonly number[] = [6, 10, 16, 20, 25, 32, 40, 50, 63]
/** Rated short-circuit capacities on the shelf, A; BS EN 60898-1. */
export const BREAKING_CAPACITIES_A: readonly number[] = [6000, 10000]
/** Rated residual currents offered, A. Zero stands for no residual device. */
export const RESIDUAL_RATINGS_A: readonly number[] = [0.03, 0.1, 0.3]
/** Upper end of the magnetic trip band as a multiple of In; BS EN 60898-1 Table 7. */
export const MAGNETIC_MULTIPLE: Readonly<Record<Curve, number>> = { B: 5, C: 10, D: 20 }
/** Product standard by device family. */
export const DEVICE_STANDARD: Readonly<Record<DeviceFamily, string>> = { breaker: 'BS EN 60898', rcbo: 'BS EN 61009' }

/** Zs = U0 × Cmin ÷ Ia for instantaneous tripping, Ω, rounded as BS 7671 Table 41.3 prints it. */
export function breakerMaximumZsOhm(curve: Curve, ratingA: number): number {
  return roundTo((U0_V * C_MIN) / (MAGNETIC_MULTIPLE[curve] * ratingA), 2)
}

/** Zs = 50 V ÷ IΔn, Ω, rounded to a whole ohm as BS 7671 Table 41.5 prints it. */
export function residualMaximumZsOhm(ratedResidualA: number): number {
  return roundTo(TOUCH_LIMIT_V / ratedResidualA, 0)
}
