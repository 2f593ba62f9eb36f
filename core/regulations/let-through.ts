import { INSTANTANEOUS_S } from './time-current'
import type { Curve } from './devices'

/**
 * Let-through energy of energy limiting class 3, A²s, by rating up to 16, 32 and 63 A, at 3, 6 and 10 kA; BS
 * EN 60898-1 Annex ZA, from memory.
 */
const CLASS_3: Readonly<
  Record<'B' | 'C', readonly (readonly [ratingA: number, atFault: Readonly<Record<number, number>>])[]>
> = {
  B: [
    [16, { 3000: 15_000, 6000: 35_000, 10_000: 70_000 }],
    [32, { 3000: 18_000, 6000: 45_000, 10_000: 90_000 }],
    [63, { 3000: 21_600, 6000: 54_000, 10_000: 108_000 }],
  ],
  C: [
    [16, { 3000: 17_000, 6000: 42_000, 10_000: 84_000 }],
    [32, { 3000: 20_000, 6000: 55_000, 10_000: 110_000 }],
    [63, { 3000: 24_000, 6000: 66_000, 10_000: 132_000 }],
  ],
}

const FAULTS_A = [3000, 6000, 10_000]

/**
 * Energy that a breaker lets through at this fault current, A²s: on straight lines between the printed fault levels, and down
 * to nothing below the first. Undefined beyond the table (type D, above 63 A or 10 kA).
 */
export function letThroughA2s(curve: Curve, ratingA: number, faultA: number): number | undefined {
  if (curve === 'D') return undefined
  const row = CLASS_3[curve].find(([upToA]) => ratingA <= upToA)?.[1]
  const at = FAULTS_A.findIndex((level) => faultA <= level)
  if (row === undefined || at === -1) return undefined
  const [from, to] = [at === 0 ? 0 : FAULTS_A[at - 1]!, FAULTS_A[at]!]
  const [low, high] = [at === 0 ? 0 : row[from]!, row[to]!]
  return low + ((high - low) * (faultA - from)) / (to - from)
}

/**
 * I²t that a conductor must stand at a fault that trips the magnetic part, A²s: the full tenth of a second,
 * or what the breaker lets through if that is less.
 */
export function breakerEnergyA2s(curve: Curve, ratingA: number, faultA: number): number {
  const whole = faultA ** 2 * INSTANTANEOUS_S
  return Math.min(whole, letThroughA2s(curve, ratingA, faultA) ?? whole)
}
