import type { ContainmentRun, Former } from './containment-run'
import { dimensionsOf, readEntry, type MeasuredEntry, type MeasuredMark } from './dimensions'
import { patternsOf, type Pattern } from './patterns'

export interface JudgedRun {
  readonly marks: readonly MeasuredMark[]
  readonly patterns: readonly Pattern[]
  readonly mark: number
  readonly outOf: number
}

/** Usual tolerance on a dimension, mm; common practice, no source. An exercise may choose another one. */
export const TOLERANCE_MM = 2
/** Null where nothing was measured. */
function isRight(entry: MeasuredEntry, toleranceMm: number): boolean | null {
  if (entry.is === 'off') return Math.abs(entry.offMm) <= toleranceMm + 1e-9
  if (entry.is === 'tick') return true
  return entry.is === 'cross' ? false : null
}

/** Holds what was measured against the drawing, and looks for one cause behind several deviations. */
export function judgeRun(
  run: ContainmentRun,
  former: Former,
  entries: Readonly<Record<string, string>>,
  toleranceMm = TOLERANCE_MM,
): JudgedRun {
  const marks = dimensionsOf(run).map((dimension): MeasuredMark => {
    const entry = readEntry(entries[dimension.key] ?? '', dimension)
    return { dimension, entry, isRight: isRight(entry, toleranceMm) }
  })
  return {
    marks,
    patterns: patternsOf(run, former, marks, toleranceMm),
    mark: marks.filter((mark) => mark.isRight).length,
    outOf: marks.length,
  }
}
