import { LONG_LINE, type ConduitMm } from '../containment'
import type { Cell } from './change'
import { CONDUIT_BENDS, CONDUIT_M, type BookValues, type ConduitBends } from './values'

/** A straight run up to this length has terms and factors of its own, m. */
const SHORT_M = 3

export interface DrawnRun {
  /** Longest length between draw points, m. */
  readonly betweenBoxesM: number
  /** Right-angle bends in it. */
  readonly bends: number
}

const isShort = ({ betweenBoxesM, bends }: DrawnRun): boolean => bends === 0 && betweenBoxesM <= SHORT_M

/** Sum of cable terms in a conduit run; undefined when one area has no term. */
export const conduitTerms = (
  values: BookValues,
  areasMm2: readonly number[],
  run: DrawnRun,
): number | undefined => sum(areasMm2, isShort(run) ? values.terms.short : values.terms.long)

/** What a conduit takes over this run, in the same unit as the terms: as it is printed, else on the printed line. */
export function conduitFactor(values: BookValues, size: ConduitMm, run: DrawnRun): number {
  if (isShort(run)) return values.shortConduit[size]!
  return printedFactor(values.conduit, size, run) ?? longFactor(size, run)
}

const printedFactor = (
  printed: BookValues['conduit'],
  size: ConduitMm,
  { betweenBoxesM, bends }: DrawnRun,
): number | undefined =>
  isPrinted(bends) && betweenBoxesM > 0 ? printed[bends][size][betweenBoxesM] : undefined

const isPrinted = (bends: number): bends is ConduitBends =>
  (CONDUIT_BENDS as readonly number[]).includes(bends)

/** On the line through the printed factors. */
export function longFactor(size: ConduitMm, { betweenBoxesM, bends }: DrawnRun): number {
  const [intercept, perMetre] = LONG_LINE[size]
  return 10_000 / (intercept + perMetre * betweenBoxesM * (bends === 0 ? 1 : 2 * bends))
}

/** Sum of cable terms in trunking; undefined when one area has no term. */
export const trunkingTerms = (values: BookValues, areasMm2: readonly number[]): number | undefined =>
  sum(areasMm2, values.terms.trunking)

/** Where the terms of these conductors and the factor of a conduit stand; a run between printed ones has no factor there. */
export function conduitCells(areasMm2: readonly number[], size: ConduitMm, run: DrawnRun): Cell[] {
  const { betweenBoxesM, bends } = run
  if (isShort(run))
    return [...termCells(areasMm2, 'short'), { table: 'conduit-short', row: String(size), column: 'factor' }]
  const isThere = isPrinted(bends) && (CONDUIT_M as readonly number[]).includes(betweenBoxesM)
  const factor = { table: `conduit-${bends}`, row: String(betweenBoxesM), column: String(size) }
  return [...termCells(areasMm2, 'long'), ...(isThere ? [factor] : [])]
}

export const trunkingCells = (areasMm2: readonly number[], size: string): Cell[] => [
  ...termCells(areasMm2, 'trunking'),
  { table: 'trunking', row: size, column: 'factor' },
]

const termCells = (areasMm2: readonly number[], column: string): Cell[] =>
  [...new Set(areasMm2)].map((area) => ({ table: 'terms', row: String(area), column }))

function sum(areas: readonly number[], terms: Readonly<Record<number, number>>): number | undefined {
  let total = 0
  for (const area of areas) {
    const term = terms[area]
    if (term === undefined) return undefined
    total += term
  }
  return total
}
