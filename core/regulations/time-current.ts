import { DEVICES, MAGNETIC_BAND, type Device } from './devices'
import { fuseTimeS } from './fuses'

/** A breaker's magnetic part acts within this, s; BS EN 60898-1 Table 7. */
export const INSTANTANEOUS_S = 0.1
/** Longest that a test of overload runs, s. */
export const HOUR_S = 3600
/**
 * Upper ends of the thermal band: within an hour at 1.45 In, within a minute at 2.55 In; BS EN 60898-1 Table
 * 7, from memory.
 */
const HOUR_MULTIPLE = 1.45
const MINUTE_MULTIPLE = 2.55
const MINUTE_S = 60

/**
 * Longest time in which the device opens at this current, s: 0.1 in a breaker's magnetic part, the upper end of its thermal
 * band below that, the melting line of a fuse. An hour stands for "an hour or not at all".
 */
export function openingTimeS(device: Device, ratingA: number, currentA: number): number {
  const { fuse } = DEVICES[device.family]
  if (fuse !== null) return Math.min(HOUR_S, fuseTimeS(fuse, ratingA, currentA) ?? HOUR_S)
  const multiple = currentA / ratingA
  // The last digit of a printed limit must not move a fault out of the magnetic part.
  if (multiple >= MAGNETIC_BAND[device.curve!][1] * 0.995) return INSTANTANEOUS_S
  if (multiple < HOUR_MULTIPLE) return HOUR_S
  if (multiple >= MINUTE_MULTIPLE) return MINUTE_S * (MINUTE_MULTIPLE / multiple) ** 2
  const steep = Math.log(HOUR_S / MINUTE_S) / Math.log(MINUTE_MULTIPLE / HOUR_MULTIPLE)
  return HOUR_S * (HOUR_MULTIPLE / multiple) ** steep
}
