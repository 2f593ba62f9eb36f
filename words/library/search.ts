import { EDITIONS } from '#core/regulations/editions'
import { shortSource } from '#core/regulations/source'
import type { Cell, LibraryEntry, LibraryTable } from './entry'
import { RULES } from './rules'
import { TABLES } from './tables'

export const LIBRARY: readonly LibraryEntry[] = [...RULES, ...TABLES]

/** A value found in a table: "where does 1.37 Ω come from?" */
export interface ValueHit {
  readonly table: LibraryTable
  readonly row: string
  readonly column: string
  readonly cell: Cell
}

export interface Found {
  readonly entries: readonly LibraryEntry[]
  readonly values: readonly ValueHit[]
}

const NUMBER = /\d+(?:[.,]\d+)?/g
/** Words that carry no meaning in a question. */
const STOP_WORDS = new Set([
  'where',
  'does',
  'do',
  'come',
  'from',
  'what',
  'is',
  'the',
  'a',
  'an',
  'of',
  'for',
  'in',
  'why',
  'how',
  'and',
  'to',
  'ohm',
  'ohms',
  'ω',
])

const wordsOf = (entry: LibraryEntry): string => {
  const entryText =
    entry.kind === 'rule'
      ? [entry.place, entry.why, ...EDITIONS.map((edition) => entry.byEdition[edition] ?? '')]
      : [shortSource(entry.source), entry.note ?? '', ...entry.columns]
  return [entry.title, ...entryText].join(' ').toLowerCase()
}
const INDEX = LIBRARY.map((entry) => ({ entry, words: wordsOf(entry) }))

/** Entries in which every word of the question stands, and table values that equal a number in it. */
export function searchLibrary(question: string): Found {
  const text = question.toLowerCase().replace(/[?!;:]/g, ' ')
  const words = text.split(/\s+/).filter((word) => word && !STOP_WORDS.has(word))
  const numbers = (text.match(NUMBER) ?? []).map((number) => Number(number.replace(',', '.')))
  if (words.length === 0) return { entries: LIBRARY, values: [] }
  const entries = INDEX.filter(({ words: entryWords }) =>
    words.every((word) => entryWords.includes(word)),
  ).map(({ entry }) => entry)
  return { entries, values: numbers.length === 0 ? [] : hits(new Set(numbers)) }
}

function hits(numbers: ReadonlySet<number>): ValueHit[] {
  return TABLES.flatMap((table) =>
    table.rows.flatMap((row) =>
      row.cells.flatMap((cell, i) =>
        cell.value !== undefined && numbers.has(cell.value)
          ? [{ table, row: row.head, column: table.columns[i]!, cell }]
          : [],
      ),
    ),
  )
}
