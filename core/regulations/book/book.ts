import { roundTo } from '../../units/format'
import { cableSizes, type CableColumns, type CableSize } from '../cables/sizes'
import type { CableKind, Method } from '../cables/cable'
import type { ConduitMm } from '../containment'
import { DEVICES, magneticA, type Curve, type Device } from '../devices'
import { halfEarthingMm2 } from '../earthing'
import { PRESENT_EDITION, type Edition } from '../editions'
import { fuseCurrentA } from '../fuses'
import { sourceKey, type Source } from '../source'
import { DROP_SHARE, U0_V, type Arrangement, type Phases, type Use } from '../supply'
import { CLAUSES, cellKey, clauseCell, type BookChange, type Cell } from './change'
import { conduitFactor } from './drawn-in'
import { bookTable } from './tables'
import { printedAs } from './cable-tables'
import type { BookTable } from './table'
import { ratingColumn, shippedValues, type BookValues } from './values'

/** The regulations in one edition as a centre reads them: the shipped values, and what its own book says otherwise. */
export interface Book {
  readonly edition: Edition
  readonly values: BookValues
  /** What the centre says otherwise in this edition, by cell. */
  readonly changed: ReadonlyMap<string, BookChange>
  /** Rows of each cable by method and phases, made when first asked for. */
  readonly sizes: Map<string, readonly CableSize[]>
}

const NO_CHANGES: readonly BookChange[] = []
const made = new WeakMap<readonly BookChange[], Map<Edition, Book>>()

/** The book of an edition with these changes; one that was made before is the same object. */
export function bookOf(edition: Edition, changes: readonly BookChange[] = NO_CHANGES): Book {
  const known = made.get(changes) ?? new Map<Edition, Book>()
  made.set(changes, known)
  const book = known.get(edition) ?? makeBook(edition, changes)
  known.set(edition, book)
  return book
}

function makeBook(edition: Edition, changes: readonly BookChange[]): Book {
  const values = shippedValues(edition)
  const changed = new Map<string, BookChange>()
  for (const change of changes) {
    if (change.edition !== edition) continue
    const table = bookTable(change.table)
    if (change.table === CLAUSES) changed.set(cellKey(change), change)
    if (!table) continue
    const column = table.read(values, change.column)
    if (change.value === null) delete column[change.row as unknown as number]
    else column[change.row as unknown as number] = change.value / table.scale
    changed.set(cellKey(change), change)
  }
  return { edition, values, changed, sizes: new Map() }
}

/** The value of one cell, as printed; undefined for a gap. Limits of breakers are computed unless entered. */
export function printedValue(book: Book, { table: id, row, column }: Cell): number | undefined {
  const table = bookTable(id)
  if (!table?.columns.includes(column)) return undefined
  if (id === 'zs-breakers') return breakerZsOhm(book, column as Curve, Number(row))
  const bends = /^conduit-(\d)$/.exec(id)?.[1]
  if (bends !== undefined) return Math.round(longConduit(book, Number(bends), Number(row), column))
  const value = table.read(book.values, column)[row as unknown as number]
  return value === undefined ? undefined : Number((value * table.scale).toPrecision(12))
}

/** A factor of conduit as it is printed, on the line through the printed ones unless entered. */
const longConduit = (book: Book, bends: number, betweenBoxesM: number, size: string): number =>
  conduitFactor(book.values, Number(size) as ConduitMm, { betweenBoxesM, bends })

/** Rows that a table has in this book, in rising order; a row that was taken out is gone. */
export function bookRows(book: Book, table: BookTable): string[] {
  if (table.rows) return [...table.rows]
  const keys = new Set(table.columns.flatMap((column) => Object.keys(table.read(book.values, column))))
  return [...keys].sort((a, b) => (Number(a) || 0) - (Number(b) || 0))
}

/** The source of a value, which is the centre's own book where that says otherwise. */
export function sourceIn(book: Book, source: Source, cell?: Cell): Source {
  if (book.changed.size === 0) return source
  const change = cell && book.changed.get(cellKey(cell))
  const placed = clauseIn(book, source)
  return change ? { ...placed, centre: { place: change.place, checked: change.checked } } : placed
}

/** Where a rule stands in the centre's own copy. */
function clauseIn(book: Book, source: Source): Source {
  const key = sourceKey(source)
  const change = key && book.changed.get(cellKey(clauseCell(key)))
  if (!change?.clause) return source
  const { clause, place, checked } = change
  return { ...source, place: clause, centre: { place, checked, isClause: true } }
}

/** The rows of a cable for one method, smallest first; empty when the method has no such column. */
export function sizesIn(book: Book, kind: CableKind, method: Method, phases: Phases): readonly CableSize[] {
  const key = `${kind} ${method} ${phases}`
  const known = book.sizes.get(key)
  if (known) return known
  const { rating, drop, cpcMm2, cpcOhmPerM } = book.values.cables[printedAs(kind)]
  const columns: CableColumns = {
    ratingA: rating[ratingColumn(method, phases)] ?? {},
    voltDropVPerAm: drop[phases] ?? {},
    copperOhmPerM: book.values.copperOhmPerM,
    cpcMm2: cpcMm2[phases] ?? {},
    cpcOhmPerM: cpcOhmPerM[phases] ?? {},
    k: book.values.k[kind]!,
  }
  const rows = cableSizes(kind, columns)
  book.sizes.set(key, rows)
  return rows
}

/** The row whose line conductor has this area, if the cable is made in it. */
export const sizeIn = (
  book: Book,
  kind: CableKind,
  method: Method,
  phases: Phases,
  lineMm2: number,
): CableSize | undefined => sizesIn(book, kind, method, phases).find((size) => size.lineMm2 === lineMm2)

/** Ca by temperature of the air, or of the ground. */
export const ambientIn = (
  book: Book,
  where: 'air' | 'ground',
  conductorC: 70 | 90,
): ReadonlyMap<number, number> =>
  rowsOf((where === 'air' ? book.values.ambient : book.values.ground)[conductorC])

/** Cg by number of circuits, from one upward. */
export const groupingIn = (book: Book, column: keyof BookValues['grouping']): readonly number[] => [
  ...rowsOf(book.values.grouping[column]).values(),
]

const inOrder = new WeakMap<Readonly<Record<number, number>>, ReadonlyMap<number, number>>()

/** A column as rows in rising order, put in order once: a book does not change when it is made. */
export function rowsOf(column: Readonly<Record<number, number>>): ReadonlyMap<number, number> {
  const known = inOrder.get(column)
  if (known) return known
  const rows = new Map(
    Object.entries(column)
      .map(([row, value]) => [Number(row), value] as const)
      .sort(([a], [b]) => a - b),
  )
  inOrder.set(column, rows)
  return rows
}

/** Zs = U0 × Cmin ÷ Ia for instantaneous tripping, Ω, rounded as Table 41.3 prints it, unless entered. */
export const breakerZsOhm = (book: Book, curve: Curve, ratingA: number): number =>
  book.values.breakers[curve][ratingA] ??
  roundTo((U0_V * book.values.parameters.cMin) / magneticA(curve, ratingA), 2)

/**
 * Largest Zs for disconnection within `timeS`, Ω: Table 41.3 for breakers, Tables 41.2 and 41.4 for fuses, and
 * U0 × Cmin ÷ Ia from the fuse's line for other times. Undefined for a rating that the family does not have.
 */
export function deviceZsOhm(book: Book, device: Device, ratingA: number, timeS: number): number | undefined {
  const { fuse } = DEVICES[device.family]
  if (fuse === null) return breakerZsOhm(book, device.curve!, ratingA)
  const column = fuseColumn(timeS)
  const printed = column && book.values.fuses[fuse][column][ratingA]
  if (printed !== undefined) return printed
  const current = fuseCurrentA(fuse, ratingA, timeS)
  return current === undefined ? undefined : roundTo((U0_V * book.values.parameters.cMin) / current, 2)
}

/** The printed column for a time, if there is one: 0.4 s and 5 s. */
export function fuseColumn(timeS: number): 'fast' | 'slow' | undefined {
  if (timeS === 0.4) return 'fast'
  return timeS === 5 ? 'slow' : undefined
}

/** Largest Zs by residual current, Ω, rounded to a whole ohm as Table 41.5 prints it. */
export const rcdZsOhm = (book: Book, ratedA: number): number =>
  roundTo(book.values.parameters.touchLimitV / ratedA, 0)

/** Allowed voltage drop from the origin of a public supply, as a share of the nominal voltage. */
export function voltDropShare({ values }: Book, use: Use): number {
  if (use === 'lighting') return values.parameters.lightingDrop
  // Half is left to the circuits behind a feed.
  const half = DROP_SHARE.feed / DROP_SHARE.other
  return use === 'distribution' ? values.parameters.otherDrop * half : values.parameters.otherDrop
}

/** A final circuit up to this rating must disconnect in the short time, A: more for sockets since 2018. */
const shortTimeA = ({ values }: Book, use: Use): number =>
  use === 'sockets' ? values.parameters.shortTimeSocketsA : values.parameters.shortTimeOtherA

/** Longest disconnection time of a circuit, s; Table 41.1, 411.3.2.3 and 411.3.2.4. */
export function disconnectionS(book: Book, arrangement: Arrangement, use: Use, ratingA: number): number {
  const { finalTnS, finalTtS, distributionTnS, distributionTtS } = book.values.parameters
  const isLong = use === 'distribution' || ratingA > shortTimeA(book, use)
  if (arrangement === 'TT') return isLong ? distributionTtS : finalTtS
  return isLong ? distributionTnS : finalTnS
}

/** Consumer's tails by main fuse, mm²; the largest beyond the table. */
export function tailsMm2({ values }: Book, mainFuseA: number): number {
  return values.tails[mainFuseA] ?? Math.max(...Object.values(values.tails))
}

/** The row of Table 54.8 for a supply's neutral, mm² each; undefined beyond the table. */
export const bondingRow = ({ values }: Book, neutralMm2: number): readonly [number, number] | undefined =>
  [...rowsOf(values.bonding)].find(([upToMm2]) => neutralMm2 <= upToMm2)

/** Main protective bonding conductor, mm²: with PME by the neutral, else by the earthing conductor. */
export const bondingIn = (
  book: Book,
  arrangement: Arrangement,
  neutralMm2: number,
  earthingMm2: number,
): number | undefined =>
  arrangement === 'TN-C-S' ? bondingRow(book, neutralMm2)?.[1] : halfEarthingMm2(earthingMm2)

/** The edition in force as it is shipped. */
export const shippedBook = (): Book => bookOf(PRESENT_EDITION)
