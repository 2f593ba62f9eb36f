import { EDITION_FROM, type Edition } from '../editions'
import { bookOf, bookRows, printedValue, type Book } from './book'
import { SOURCES } from '../source'
import { CLAUSES, cellKey, type BookChange, type Cell } from './change'
import { bookTable } from './tables'
import type { BookTable } from './table'

/** A value as somebody writes it down from the book, before it is taken in. */
export interface BookEntry extends Cell {
  readonly edition: Edition
  /** As printed; null takes the row out. */
  readonly value: number | null
  /** First day on which it holds, ISO date. */
  readonly from: string
  readonly place: string
  /** Where a rule stands, in the list of clauses. */
  readonly clause?: string
}

/** What keeps an entry from being taken in, with what shows it. */
export interface BookProblem {
  /** Which of the entries. */
  readonly at: number
  readonly code:
    | 'noTable'
    | 'noColumn'
    | 'noRow'
    | 'outOfRange'
    | 'notADay'
    | 'beforeEdition'
    | 'noPlace'
    | 'twice'
    | 'hole'
    | 'outOfOrder'
    | 'rowInUse'
    | 'rowHeld'
    | 'noClause'
    | 'clauseElsewhere'
  readonly params: Readonly<Record<string, string | number>>
}

/** Rows that designs rest on, by table and row, with the codes of the exercises. */
export type RowsInUse = ReadonlyMap<string, readonly string[]>
export const rowKey = ({ table, row }: Pick<Cell, 'table' | 'row'>): string => `${table}|${row}`

/**
 * Looks entries through before any is taken in: each by itself, all of them against each other, and the tables that
 * come of them together with what the centre has written down before. Empty where all can stand.
 */
export function checkEntries(
  entries: readonly BookEntry[],
  standing: readonly BookChange[],
  inUse: RowsInUse,
): BookProblem[] {
  const alone = entries.flatMap((entry, at) => checkAlone(entry, at, inUse))
  if (alone.length > 0) return alone
  const twice = contradictions(entries)
  return twice.length > 0 ? twice : checkTables(entries, standing)
}

function checkAlone(entry: BookEntry, at: number, inUse: RowsInUse): BookProblem[] {
  const table = bookTable(entry.table)
  if (entry.table === CLAUSES) return checkClause(entry, at)
  if (!table) return [{ at, code: 'noTable', params: { table: entry.table } }]
  const problems: BookProblem[] = [...checkPlaced(entry, at)]
  const add = (code: BookProblem['code'], params: BookProblem['params'] = {}) =>
    problems.push({ at, code, params })
  if (entry.clause !== undefined) add('clauseElsewhere')
  if (!table.columns.includes(entry.column))
    add('noColumn', { column: entry.column, columns: table.columns.join(', ') })
  else if (!hasRow(table, entry)) add('noRow', { row: entry.row })
  const [least, most] = table.range
  if (entry.value !== null && !(entry.value >= least && entry.value <= most))
    add('outOfRange', { value: entry.value, least, most })
  const users = entry.value === null ? inUse.get(rowKey(entry)) : undefined
  if (users?.length) add('rowInUse', { exercises: users.join(', ') })
  if (entry.value === null && !table.grows) add('rowHeld')
  return problems
}

/** A day on which its edition is in force, and where it was read. */
function checkPlaced({ edition, from, place }: BookEntry, at: number): BookProblem[] {
  const problems: BookProblem[] = []
  if (!isDay(from)) problems.push({ at, code: 'notADay', params: { from } })
  else if (from < EDITION_FROM[edition])
    problems.push({ at, code: 'beforeEdition', params: { from: EDITION_FROM[edition] } })
  if (place.trim() === '') problems.push({ at, code: 'noPlace', params: {} })
  return problems
}

/** A clause belongs to a rule that is worked by here, and says where it stands. */
function checkClause(entry: BookEntry, at: number): BookProblem[] {
  if (!Object.hasOwn(SOURCES, entry.row)) return [{ at, code: 'noRow', params: { row: entry.row } }]
  if (entry.column !== 'place')
    return [{ at, code: 'noColumn', params: { column: entry.column, columns: 'place' } }]
  const isMissing = entry.value !== null || !entry.clause?.trim()
  return [...(isMissing ? [{ at, code: 'noClause' as const, params: {} }] : []), ...checkPlaced(entry, at)]
}

/** Is there such a row, or may there be one? */
const hasRow = (table: BookTable, { edition, row }: BookEntry): boolean =>
  bookRows(bookOf(edition), table).includes(row) || (table.grows && /^\d{1,4}(\.\d{1,2})?$/.test(row))

function isDay(text: string): boolean {
  const day = new Date(`${text}T00:00:00Z`)
  return (
    /^\d{4}-\d{2}-\d{2}$/.test(text) && !Number.isNaN(day.valueOf()) && day.toISOString().startsWith(text)
  )
}

/** The same cell twice on the same day: one of the two is wrong. */
function contradictions(entries: readonly BookEntry[]): BookProblem[] {
  const first = new Map<string, BookEntry>()
  return entries.flatMap((entry, at) => {
    const key = `${entry.edition} ${entry.from} ${cellKey(entry)}`
    const other = first.get(key)
    first.set(key, other ?? entry)
    return other ? [{ at, code: 'twice' as const, params: { one: saidBy(other), other: saidBy(entry) } }] : []
  })
}

const saidBy = ({ clause, value }: BookEntry): string => clause ?? String(value)

/** Holes and slips of a digit: the tables that come of it are still tables. */
function checkTables(entries: readonly BookEntry[], standing: readonly BookChange[]): BookProblem[] {
  const editions = [...new Set(entries.map(({ edition }) => edition))]
  return editions.flatMap((edition) => {
    const own = entries
      .map((entry, at) => ({ entry, at }))
      .filter(({ entry }) => entry.edition === edition && entry.table !== CLAUSES)
    const book = bookOf(edition, [...standing, ...own.map(({ entry }) => ({ ...entry, checked: false }))])
    return [
      ...own.flatMap(({ entry, at }) => holes(book, entry, at)),
      ...own.flatMap(({ entry, at }) => disorder(book, entry, at)),
    ]
  })
}

/** A new row must have all its columns, and what else a size needs; groups go on by one circuit. */
function holes(book: Book, entry: BookEntry, at: number): BookProblem[] {
  const table = bookTable(entry.table)!
  const rows = bookRows(book, table)
  if (entry.value === null) {
    const left = table.columns.filter((column) => printedValue(book, { ...entry, column }) !== undefined)
    return left.length > 0 && left.length < table.columns.length && !wasPartial(table, entry)
      ? [{ at, code: 'hole', params: { row: entry.row, missing: left.join(', ') } }]
      : []
  }
  if (bookRows(bookOf(entry.edition), table).includes(entry.row)) return []
  const missing = [
    ...table.columns.filter((column) => printedValue(book, { ...entry, column }) === undefined),
    ...(table.id === 'cg' ? missingCounts(rows) : []),
    ...missingPartners(book, entry),
  ]
  return missing.length > 0
    ? [{ at, code: 'hole', params: { row: entry.row, missing: missing.join(', ') } }]
    : []
}

/** Had the row gaps as it is shipped? */
const wasPartial = (table: BookTable, { edition, row }: BookEntry): boolean =>
  table.columns.some(
    (column) => printedValue(bookOf(edition), { table: table.id, row, column }) === undefined,
  )

function missingCounts(rows: readonly string[]): string[] {
  const most = Math.max(...rows.map(Number))
  const wanted = Array.from({ length: most }, (_, i) => String(i + 1))
  return wanted.filter((count) => !rows.includes(count))
}

/** A further size of a cable needs its rating, its voltage drop and its resistance. */
function missingPartners(book: Book, { table: id, row }: BookEntry): string[] {
  const [, kind] = /^(?:rating|drop)-(.+)$/.exec(id) ?? []
  if (!kind) return []
  return [`rating-${kind}`, `drop-${kind}`, 'copper'].filter(
    (other) => other !== id && !bookRows(book, bookTable(other)!).includes(row),
  )
}

/** Every printed table of its kind rises or falls from row to row; a value that does not is a slip. */
function disorder(book: Book, entry: BookEntry, at: number): BookProblem[] {
  const table = bookTable(entry.table)!
  if (table.trend === 'any' || entry.value === null) return []
  const rows = bookRows(book, table).filter(
    (row) => printedValue(book, { table: table.id, row, column: entry.column }) !== undefined,
  )
  const value = (row: string | undefined) =>
    row === undefined ? undefined : printedValue(book, { table: table.id, row, column: entry.column })
  const i = rows.indexOf(entry.row)
  const [before, after] = [rows[i - 1], rows[i + 1]]
  const isSound = (low: number | undefined, high: number | undefined): boolean =>
    low === undefined || high === undefined || (table.trend === 'rises' ? low <= high : low >= high)
  if (!isSound(value(before), entry.value)) return [problem(before!, value(before)!)]
  if (!isSound(entry.value, value(after))) return [problem(after!, value(after)!)]
  return []

  function problem(row: string, other: number): BookProblem {
    return { at, code: 'outOfOrder', params: { value: entry.value!, row, other } }
  }
}
