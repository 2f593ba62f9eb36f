import type { QuantityKey } from '../../units/quantity'

/** Typical accuracies, testing practice and no standard: share of the reading, and digits of the last place. */
export interface Accuracy {
  readonly relative: number
  readonly digits: number
}

/** A range of the display: up to `end`, in steps of `step`, both SI. */
export interface Range {
  readonly end: number
  readonly step: number
}

export type HazardCode =
  /** The circuit is live: the instrument refuses, or suffers. */
  | 'live'
  /** The test needs a supply and there is none. */
  | 'noSupply'
  /** Some voltage, but not a supply's: a conductor is missing, or one side floats. */
  | 'lowSupply'
  /** What stands here collapses under the test current: the loop is not closed. */
  | 'openLoop'
  /** Nothing stands here: the supply is off altogether. */
  | 'supplyOff'
  /** The supply is on, and nothing stands between these two. */
  | 'deadHere'
  /** A clamp without a current in it. */
  | 'nothingFlows'
  /** No RCD in front of this point opened. */
  | 'noRcdOpened'
  /** The bay as it is joined up cannot be computed. */
  | 'unsolved'
  /** Test voltage across electronics. */
  | 'electronics'
  /** The test current tripped a device. */
  | 'trips'
  /** More than 50 V on exposed metal during the test. */
  | 'touchVoltage'
  /** The leads were not nulled. */
  | 'leads'

export interface Hazard {
  readonly code: HazardCode
  readonly params: Readonly<Record<string, string | number>>
}

/** What an instrument shows. */
export interface Reading {
  readonly quantity: QuantityKey
  /** SI value on the display; undefined where there is none. */
  readonly value?: number
  /** The display ran off its range above `value`. */
  readonly isOver: boolean
  /** Where the true value lies if the instrument keeps its accuracy. */
  readonly band?: { readonly low: number; readonly high: number }
  readonly hazards: readonly Hazard[]
}

export const refused = (quantity: QuantityKey, code: HazardCode, params: Hazard['params'] = {}): Reading =>
  refusing(quantity, { code, params })

/** The instrument refuses for this reason. */
export const refusing = (quantity: QuantityKey, hazard: Hazard): Reading => ({
  quantity,
  isOver: false,
  hazards: [hazard],
})

/** An instrument's scale: what it measures, its ranges, how exact it is. */
export interface Scale {
  readonly quantity: QuantityKey
  readonly ranges: readonly Range[]
  readonly accuracy: Accuracy
}

/**
 * A measured value as it is displayed: with the instrument's own error (−1 to 1 of its accuracy), rounded, or
 * off the range.
 */
export function display(
  { quantity, ranges, accuracy }: Scale,
  measured: number,
  error: number,
  hazards: readonly Hazard[] = [],
): Reading {
  const last = ranges.at(-1)!
  if (!(measured <= last.end)) return { quantity, value: last.end, isOver: true, hazards }
  const range = ranges.find(({ end }) => measured <= end)!
  const allowed = accuracy.relative * measured + accuracy.digits * range.step
  const value = Math.max(0, Math.round((measured + error * allowed) / range.step) * range.step)
  return {
    quantity,
    value: Number(value.toPrecision(12)),
    isOver: false,
    band: { low: Math.max(0, value - allowed - range.step / 2), high: value + allowed + range.step / 2 },
    hazards,
  }
}
