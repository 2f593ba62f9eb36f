import type { MakerPoint } from '../../regulations/maker-data'
import { parseQuantity } from '../../units/parse'
import type { QuantityKey } from '../../units/quantity'
import type { FormProblem } from './problem'

/** Points of one circuit's device; a sheet of several ratings fits easily. */
export const MOST_MAKER_POINTS = 200

/** A first row that begins with a word. */
const HEADING = /^"?\p{L}/u

const COLUMNS = [
  { name: 'rating', quantity: 'rating' },
  { name: 'current', quantity: 'current' },
  { name: 'time', quantity: 'duration' },
  { name: 'energy', quantity: 'energy' },
] as const satisfies readonly { name: string; quantity: QuantityKey }[]

export interface ReadMaker {
  readonly points: readonly MakerPoint[]
  readonly problem?: FormProblem
}

/**
 * Reads a maker's points as they are typed, pasted or in a file: a row each of rating, current, time,
 * let-through energy, A, A, s, A²s, apart by tab, semicolon or comma; one of the last two may be empty; a
 * heading is passed over.
 */
export function readMaker(text: string): ReadMaker {
  const rows = text
    .split(/\r?\n/)
    .map((line, i) => ({ line: line.replace(/^\uFEFF/, '').trim(), row: i + 1 }))
    .filter(({ line }) => line !== '')
    .filter(({ line }, i) => i > 0 || !HEADING.test(line))
  if (rows.length > MOST_MAKER_POINTS)
    return { points: [], problem: { code: 'makerTooMany', most: MOST_MAKER_POINTS } }
  const points: MakerPoint[] = []
  for (const { line, row } of rows) {
    const read = readRow(line)
    if (typeof read === 'string') return { points: [], problem: { code: 'makerRow', row, column: read } }
    points.push(read)
  }
  return points.length > 0 || text.trim() === ''
    ? { points }
    : { points, problem: { code: 'makerRow', row: 1, column: 'rating' } }
}

/** One row, or the name of the column that cannot be read. */
function readRow(line: string): MakerPoint | string {
  const separator = ['\t', ';', ','].find((candidate) => line.includes(candidate)) ?? ','
  const cells = line.split(separator).map((cell) => cell.trim().replace(/^"(.*)"$/, '$1'))
  const values: (number | null)[] = []
  for (const [i, { name, quantity }] of COLUMNS.entries()) {
    const cell = cells[i] ?? ''
    const parsed = parseQuantity(cell, quantity)
    const mayBeEmpty = i >= 2 && cell === ''
    if (!mayBeEmpty && !(parsed.ok && parsed.value > 0 && parsed.value < 1e12)) return name
    values.push(parsed.ok ? parsed.value : null)
  }
  const [ratingA, currentA, timeS, energyA2s] = values
  if (timeS === null && energyA2s === null) return 'time'
  return { ratingA: ratingA!, currentA: currentA!, timeS: timeS!, energyA2s: energyA2s! }
}

/** The points as they are written in the box again. */
export const makerText = (points: readonly MakerPoint[] | undefined): string =>
  (points ?? [])
    .map(({ ratingA, currentA, timeS, energyA2s }) =>
      [ratingA, currentA, timeS ?? '', energyA2s ?? ''].join('; '),
    )
    .join('\n')
