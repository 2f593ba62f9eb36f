import { Z95, type Interval } from './proportions'

/** Two judgements of one thing, each the place on an ordered scale, from 0 upward. */
export type Pair = readonly [first: number, second: number]

/** How much a difference of some steps counts against full agreement. */
export type Weighing = 'none' | 'linear' | 'quadratic'

export interface Kappa extends Interval {
  readonly kappa: number
  /** Large-sample standard error where κ is not zero. */
  readonly error: number
}

export interface Agreement {
  readonly pairs: number
  /** Share judged the same, 0 to 1. */
  readonly same: number
  /** Mean of second less first, in steps of the scale: above zero, the second is kinder. */
  readonly bias: number
  /** Null where there are too few, or where both always said the same one thing. */
  readonly plain: Kappa | null
  readonly weighted: Kappa | null
}

/** Fewer pairs than this say nothing about agreement. */
export const TOO_FEW_PAIRS = 20

/**
 * Agreement of two judges on a scale of `levels` steps: percentage, bias, Cohen’s κ and κ weighted linearly, each κ
 * with its 95 % interval. Null κ under `TOO_FEW_PAIRS`, or where chance alone explains everything.
 */
export function agreement(pairs: readonly Pair[], levels: number): Agreement {
  const enough = pairs.length >= TOO_FEW_PAIRS
  const count = Math.max(pairs.length, 1)
  return {
    pairs: pairs.length,
    same: pairs.filter(([first, second]) => first === second).length / count,
    bias: pairs.reduce((sum, [first, second]) => sum + second - first, 0) / count,
    plain: enough ? kappa(tableOf(pairs, levels), 'none') : null,
    weighted: enough ? kappa(tableOf(pairs, levels), 'linear') : null,
  }
}

/** How often the first said the row and the second the column. */
export function tableOf(pairs: readonly Pair[], levels: number): number[][] {
  const table = Array.from({ length: levels }, () => Array<number>(levels).fill(0))
  for (const [first, second] of pairs) table[first]![second]! += 1
  return table
}

function weightOf(weighing: Weighing, apart: number, levels: number): number {
  if (weighing === 'none') return apart === 0 ? 1 : 0
  const share = apart / Math.max(levels - 1, 1)
  return 1 - (weighing === 'linear' ? share : share ** 2)
}

/**
 * Cohen’s κ of a square table of counts, weighted or not, with its 95 % interval, cut at −1 and 1. Null where the
 * margins leave nothing to chance. Sources: J. Cohen, Educ. Psychol. Meas. 20 (1960) 37 and Psychol. Bull. 70 (1968)
 * 213; standard error by J. L. Fleiss, J. Cohen and B. S. Everitt, Psychol. Bull. 72 (1969) 323.
 */
export function kappa(table: readonly (readonly number[])[], weighing: Weighing): Kappa | null {
  const levels = table.length
  const total = table.flat().reduce((sum, n) => sum + n, 0)
  const at = (i: number, j: number) => table[i]![j]! / total
  const steps = [...Array(levels).keys()]
  const rows = steps.map((i) => steps.reduce((sum, j) => sum + at(i, j), 0))
  const columns = steps.map((j) => steps.reduce((sum, i) => sum + at(i, j), 0))
  const weight = (i: number, j: number) => weightOf(weighing, Math.abs(i - j), levels)
  const over = (value: (i: number, j: number) => number) =>
    steps.reduce((sum, i) => sum + steps.reduce((row, j) => row + value(i, j), 0), 0)
  const seen = over((i, j) => weight(i, j) * at(i, j))
  const chance = over((i, j) => weight(i, j) * rows[i]! * columns[j]!)
  if (!(total > 0) || 1 - chance < 1e-12) return null
  const k = (seen - chance) / (1 - chance)
  const rowMean = steps.map((i) => steps.reduce((sum, j) => sum + columns[j]! * weight(i, j), 0))
  const columnMean = steps.map((j) => steps.reduce((sum, i) => sum + rows[i]! * weight(i, j), 0))
  const spread = over((i, j) => at(i, j) * (weight(i, j) - (rowMean[i]! + columnMean[j]!) * (1 - k)) ** 2)
  const variance = (spread - (k - chance * (1 - k)) ** 2) / (total * (1 - chance) ** 2)
  const error = Math.sqrt(Math.max(0, variance))
  return { kappa: k, error, low: Math.max(-1, k - Z95 * error), high: Math.min(1, k + Z95 * error) }
}
