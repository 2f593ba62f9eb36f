import type { Curve } from '../devices'
import { FAULT_LEVELS_A } from '../let-through'
import { INSTANTANEOUS_S } from '../time-current'
import { rowsOf, type Book } from './book'
import type { Cell } from './change'
import { letThroughColumn } from './values'

/**
 * Energy that a breaker lets through at this fault current, A²s: on straight lines between the printed fault levels, and down
 * to nothing below the first. Undefined beyond the table (type D, above 63 A or 10 kA).
 */
export function letThroughA2s(book: Book, curve: Curve, ratingA: number, faultA: number): number | undefined {
  const at = FAULT_LEVELS_A.findIndex((level) => faultA <= level)
  const row = curve === 'D' ? undefined : rowOf(book, curve, ratingA)
  if (row === undefined || at === -1) return undefined
  const valueAt = (i: number) =>
    i < 0 ? 0 : book.values.letThrough[letThroughColumn(curve, FAULT_LEVELS_A[i]!)]?.[row]
  const [low, high] = [valueAt(at - 1), valueAt(at)]
  if (low === undefined || high === undefined) return undefined
  const [from, to] = [at === 0 ? 0 : FAULT_LEVELS_A[at - 1]!, FAULT_LEVELS_A[at]!]
  return low + ((high - low) * (faultA - from)) / (to - from)
}

const rowOf = ({ values }: Book, curve: Curve, ratingA: number): number | undefined =>
  [...rowsOf(values.letThrough[letThroughColumn(curve, FAULT_LEVELS_A[0]!)] ?? {}).keys()].find(
    (upToA) => ratingA <= upToA,
  )

/** Where the energy of this fault stands: at the fault level next above it. */
export function letThroughCell(book: Book, curve: Curve, ratingA: number, faultA: number): Cell | undefined {
  const level = FAULT_LEVELS_A.find((one) => faultA <= one)
  const row = curve === 'D' ? undefined : rowOf(book, curve, ratingA)
  if (level === undefined || row === undefined) return undefined
  return { table: 'let-through', row: String(row), column: letThroughColumn(curve, level) }
}

/**
 * I²t that a conductor must stand at a fault that trips the magnetic part, A²s: the full tenth of a second,
 * or what the breaker lets through if that is less.
 */
export function breakerEnergyA2s(book: Book, curve: Curve, ratingA: number, faultA: number): number {
  const whole = faultA ** 2 * INSTANTANEOUS_S
  return Math.min(whole, letThroughA2s(book, curve, ratingA, faultA) ?? whole)
}
