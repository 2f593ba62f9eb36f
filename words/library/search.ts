import { shippedBook, type Book } from '#core/regulations/book/book'
import { EDITIONS } from '#core/regulations/editions'
import { shortSource } from '#core/regulations/source'
import type { Cell, LibraryEntry, LibraryTable } from './entry'
import { HISTORY } from './history'
import { RULES } from './rules'
import { tablesOf } from './tables'

/** Every rule and table, as this book has them. */
export const libraryOf = (book: Book): readonly LibraryEntry[] => indexOf(book).map(({ entry }) => entry)

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

const wordsOf = (entry: LibraryEntry): string => [entry.title, ...textOf(entry)].join(' ').toLowerCase()

function textOf(entry: LibraryEntry): readonly string[] {
  switch (entry.kind) {
    case 'rule':
      return [entry.place, entry.why, ...EDITIONS.map((edition) => entry.byEdition[edition] ?? '')]
    case 'history':
      return [entry.why, ...entry.asked.flatMap(({ edition, said }) => [edition, said])]
    case 'table':
      return [shortSource(entry.source), entry.note ?? '', ...entry.columns]
  }
}
interface Indexed {
  readonly entry: LibraryEntry
  readonly words: string
}
const made = new WeakMap<Book, readonly Indexed[]>()
function indexOf(book: Book): readonly Indexed[] {
  const known =
    made.get(book) ??
    [...RULES, ...HISTORY, ...tablesOf(book)].map((entry) => ({ entry, words: wordsOf(entry) }))
  made.set(book, known)
  return known
}

/** Entries in which every word of the question stands, and table values that equal a number in it. */
export function searchLibrary(question: string, book: Book = shippedBook()): Found {
  const text = question.toLowerCase().replace(/[?!;:]/g, ' ')
  const words = text.split(/\s+/).filter((word) => word && !STOP_WORDS.has(word))
  const numbers = (text.match(NUMBER) ?? []).map((number) => Number(number.replace(',', '.')))
  if (words.length === 0) return { entries: libraryOf(book), values: [] }
  const entries = indexOf(book)
    .filter(({ words: entryWords }) => words.every((word) => entryWords.includes(word)))
    .map(({ entry }) => entry)
  return { entries, values: numbers.length === 0 ? [] : hits(book, new Set(numbers)) }
}

function hits(book: Book, numbers: ReadonlySet<number>): ValueHit[] {
  return tablesOf(book).flatMap((table) =>
    table.rows.flatMap((row) =>
      row.cells.flatMap((cell, i) =>
        cell.value !== undefined && numbers.has(cell.value)
          ? [{ table, row: row.head, column: table.columns[i]!, cell }]
          : [],
      ),
    ),
  )
}
