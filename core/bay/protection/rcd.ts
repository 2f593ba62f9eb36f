import { rcdTimeS, type DcContent, type RcdType } from '../../regulations/rcd'
import { DC_CONTENTS, RCD_TYPES } from '../../regulations/rcd'

export interface RcdFunction {
  /** Rated residual current IΔn, A. */
  readonly ratedA: number
  readonly type: RcdType
  /** Delayed (S) devices wait for those behind them. */
  readonly isDelayed: boolean
  /** What age and dust have done to it; left out: nothing. */
  readonly wear?: RcdWear
}

/** Opens late, opens below half of IΔn, does not open. */
export const RCD_WEAR = ['slow', 'early', 'stuck'] as const
export type RcdWear = (typeof RCD_WEAR)[number]
/** What a sluggish latch adds, s, at 1, 2 and 5 times IΔn; common practice, no source. */
const SLOW_S = [0.32, 0.2, 0.1]
/** A device that trips early does so at this share of IΔn; common practice, no source. */
const EARLY_SHARE = 0.4

/**
 * Must not trip below half of IΔn and must at IΔn; BS EN 61008-1 5.3.4, from memory. A device in the middle
 * trips here.
 */
export const USUAL_THRESHOLD = 0.75

/** Shortest times that a delayed device waits, s, at 1, 2 and 5 times IΔn; BS EN 61008-1 Table 1, from memory. */
const DELAYED_LEAST_S = [0.13, 0.06, 0.05]
/** A general device needs about this long, s, at 1, 2 and 5 times IΔn; common practice, no source. */
const GENERAL_USUAL_S = [0.028, 0.022, 0.016]

/** Of the columns at 1, 2 and 5 times IΔn. */
const columnOf = (multiple: number): number => [2, 5].filter((from) => multiple >= from).length

/** Does the device see a fault current of this kind? */
export const seesDc = (type: RcdType, dc: DcContent): boolean =>
  RCD_TYPES.indexOf(type) >= DC_CONTENTS.indexOf(dc)

/** The residual current at which this device trips, A: its own share of IΔn, half to whole. */
export const thresholdA = (
  { ratedA, wear }: Pick<RcdFunction, 'ratedA' | 'wear'>,
  share: number = USUAL_THRESHOLD,
): number => ratedA * (wear === 'early' ? Math.min(EARLY_SHARE, share) : share)

/** Shortest, longest and usual opening time at a residual current, s; undefined below the device's threshold. */
export function rcdBand(
  device: RcdFunction,
  residualA: number,
  share: number = USUAL_THRESHOLD,
): { readonly earliestS: number; readonly latestS: number; readonly usualS: number } | undefined {
  if (device.wear === 'stuck' || residualA < thresholdA(device, share)) return undefined
  const column = columnOf(residualA / device.ratedA)
  const latestS = rcdTimeS(device.ratedA, device.isDelayed, residualA) ?? Infinity
  const earliestS = device.isDelayed ? DELAYED_LEAST_S[column]! : 0
  const usualS = device.isDelayed
    ? Math.sqrt(earliestS * (rcdTimeS(device.ratedA, true, Math.max(residualA, device.ratedA)) ?? earliestS))
    : GENERAL_USUAL_S[column]!
  if (device.wear !== 'slow') return { earliestS, latestS, usualS }
  return { earliestS, latestS: latestS + SLOW_S[column]!, usualS: usualS + SLOW_S[column]! }
}

/** Longest break times of an arc-fault device at 230 V by arc current, A → s; BS EN 62606 Table 1, from memory. */
const ARC_S: readonly (readonly [ampere: number, s: number])[] = [
  [2.5, 1],
  [5, 0.5],
  [10, 0.25],
  [16, 0.15],
  [32, 0.12],
]

/**
 * Longest time in which an arc-fault device ends a series arc of this current, s; undefined below 2.5 A. A
 * stated simplification: the arc is declared, not recognised.
 */
export const arcTimeS = (currentA: number): number | undefined =>
  ARC_S.findLast(([ampere]) => currentA >= ampere)?.[1]
