import type { BookEntry } from '#core/regulations/book/check'
import { EDITIONS, type Edition } from '#core/regulations/editions'
import { readCsv, writeCsv } from './csv'

const HEADING = ['edition', 'table', 'row', 'column', 'value', 'from', 'place'] as const
/** Filled in the list of clauses alone; a file without it has none. */
const CLAUSE = 'clause'
const OUT = 'none'

/** Values of the centre's book as a table: one to a line, `none` for a row that is taken out. */
export const writeBookCsv = (entries: readonly BookEntry[]): string =>
  writeCsv(
    [...HEADING, CLAUSE],
    entries.map(({ edition, table, row, column, value, from, place, clause }) => [
      edition,
      table,
      row,
      column,
      value === null ? OUT : String(value),
      from,
      place,
      clause ?? '',
    ]),
  )

export type BookRead =
  | { readonly ok: true; readonly entries: readonly BookEntry[] }
  | { readonly ok: false; readonly reason: string }

const isEdition = (text: string): text is Edition => (EDITIONS as readonly string[]).includes(text)

/** Reads lines of a table; refused whole where a column is missing or a line cannot be understood. */
export function readBookCsv(text: string): BookRead {
  let table: ReturnType<typeof readCsv>
  try {
    table = readCsv(text)
  } catch {
    return { ok: false, reason: 'a quotation mark stays open, or a row is longer than the heading' }
  }
  const missing = HEADING.filter((name) => !table.heading.includes(name))
  if (missing.length > 0)
    return { ok: false, reason: `there is no column ${missing.map((m) => `“${m}”`).join(', ')}` }
  const lines = table.rows.map(({ line, cells }) => readLine(line, cells))
  const wrong = lines.find((line): line is string => typeof line === 'string')
  if (wrong !== undefined) return { ok: false, reason: wrong }
  const entries = lines as BookEntry[]
  return entries.length > 0 ? { ok: true, entries } : { ok: false, reason: 'no line has a value' }
}

/** One line as an entry, or what is wrong with it. */
function readLine(line: number, cells: Readonly<Record<string, string>>): BookEntry | string {
  const [edition, written] = [cells.edition ?? '', (cells.value ?? '').trim()]
  if (!isEdition(edition)) return `line ${line}: the edition is one of ${EDITIONS.join(', ')}`
  const value = written === OUT ? null : Number(written)
  if (written === '' || Number.isNaN(value))
    return `line ${line}: “${written}” is no number; write ${OUT} to take a row out`
  const { table = '', row = '', column = '', from = '', place = '' } = cells
  const entry = { edition, table, row, column, value, from, place }
  return cells.clause ? { ...entry, clause: cells.clause } : entry
}
