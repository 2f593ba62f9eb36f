import { DEVICES, MAGNETIC_BAND, type Device } from '../../regulations/devices'
import { fuseTimeS } from '../../regulations/fuses'
import { HOUR_S, INSTANTANEOUS_S } from '../../regulations/time-current'

/** When an overcurrent device opens at a steady current, s. Infinity: it need not, or must not. */
export interface TimeBand {
  /** No device of its kind is quicker. */
  readonly earliestS: number
  /** Every device of its kind has opened. */
  readonly latestS: number
  /** A device in the middle of its band. */
  readonly usualS: number
}

const NEVER: TimeBand = { earliestS: Infinity, latestS: Infinity, usualS: Infinity }

/**
 * Thermal limits of BS EN 60898-1 Table 7, from memory: none at 1.13 In, within the hour at 1.45 In, 1 to 60
 * (above 32 A: 120) s at 2.55 In.
 */
export const THERMAL = {
  holds: 1.13,
  trips: 1.45,
  sharp: 2.55,
  sharpEarliestS: 1,
  sharpLatestS: (ratingA: number) => (ratingA <= 32 ? 60 : 120),
} as const
/** A breaker's contacts part and its arc dies in about this, s; common practice, no source. */
const QUICKEST_S = 0.01
/**
 * A fuse of the same rating melts this far to either side of its line in current, ±; BS 88 tolerance, from
 * memory.
 */
const FUSE_SPREAD = 0.1

/** Straight on logarithmic paper through two points (multiple, s). */
function between(
  [m0, t0]: readonly [number, number],
  [m1, t1]: readonly [number, number],
  multiple: number,
): number {
  return t0 * (multiple / m0) ** (Math.log(t1 / t0) / Math.log(m1 / m0))
}

/** Of the bimetal: from an hour at one multiple to `sharpS` at 2.55 In, then with the square of the current, s. */
const warmS = (multiple: number, [from, sharpS]: readonly [number, number]): number =>
  multiple <= THERMAL.sharp
    ? between([from, HOUR_S], [THERMAL.sharp, sharpS], multiple)
    : sharpS * (THERMAL.sharp / multiple) ** 2

/** Time in which a device opens at this current, A effective. */
export function openingBand(device: Device, ratingA: number, currentA: number): TimeBand {
  const { fuse } = DEVICES[device.family]
  if (fuse !== null) return fuseBand((current) => fuseTimeS(fuse, ratingA, current), ratingA, currentA)
  const multiple = currentA / ratingA
  if (multiple < THERMAL.holds) return NEVER
  const [magneticLow, magneticHigh] = MAGNETIC_BAND[device.curve!]
  const warmEarliestS = warmS(multiple, [THERMAL.holds, THERMAL.sharpEarliestS])
  const warmLatestS =
    multiple < THERMAL.trips ? Infinity : warmS(multiple, [THERMAL.trips, THERMAL.sharpLatestS(ratingA)])
  const earliestS = multiple >= magneticLow ? QUICKEST_S : Math.max(QUICKEST_S, warmEarliestS)
  const latestS = multiple >= magneticHigh ? INSTANTANEOUS_S : warmLatestS
  // A device in the middle acts magnetically from the geometric middle of its band; below 1.45 In it takes
  // hours, if ever.
  const isMagnetic = multiple >= Math.sqrt(magneticLow * magneticHigh)
  const usualS = isMagnetic ? QUICKEST_S : Math.sqrt(Math.max(QUICKEST_S, warmEarliestS) * warmLatestS)
  return { earliestS, latestS, usualS }
}

function fuseBand(
  time: (currentA: number) => number | undefined,
  ratingA: number,
  currentA: number,
): TimeBand {
  // Non-fusing current of general-purpose fuses is about 1.25 In; BS 88, from memory.
  if (currentA < 1.25 * ratingA) return NEVER
  const at = (current: number) => time(current) ?? Infinity
  return {
    earliestS: at(currentA * (1 + FUSE_SPREAD)),
    latestS: at(currentA * (1 - FUSE_SPREAD)),
    usualS: at(currentA),
  }
}

/** The fuse in a plug or connection unit (BS 1362). */
export const plugFuseBand = (ratingA: number, currentA: number): TimeBand =>
  fuseBand((current) => fuseTimeS('plug', ratingA === 3 ? 3 : 13, current), ratingA, currentA)
