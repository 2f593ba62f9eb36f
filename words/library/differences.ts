import { bookOf, bookRows, printedValue, sourceIn, type Book } from '#core/regulations/book/book'
import type { BookChange } from '#core/regulations/book/change'
import { BOOK_TABLES } from '#core/regulations/book/tables'
import { SOURCES, shortSource } from '#core/regulations/source'
import type { Edition } from '#core/regulations/editions'
import { cellWords, valueWords } from './book-words'
import { RULES } from './rules'

/** A book as it is chosen: an edition, as shipped or as the centre reads it. */
export interface ChosenBook {
  readonly edition: Edition
  readonly own: boolean
}

/** One rule or value on which two books differ. */
export interface BookDifference {
  readonly what: string
  readonly place: string
  readonly first: string
  readonly second: string
}

const NOT_THERE = 'Not in this edition.'

/** Everything on which two books differ, rules first, then values. */
export function bookDifferences(
  first: ChosenBook,
  second: ChosenBook,
  changes: readonly BookChange[],
): BookDifference[] {
  const [a, b] = [first, second].map(({ edition, own }) => bookOf(edition, own ? changes : undefined)) as [
    Book,
    Book,
  ]
  const rules = RULES.filter(({ byEdition }) => byEdition[first.edition] !== byEdition[second.edition]).map(
    ({ title, place, byEdition }) => ({
      what: title,
      place: `BS 7671 ${place}, from memory`,
      first: byEdition[first.edition] ?? NOT_THERE,
      second: byEdition[second.edition] ?? NOT_THERE,
    }),
  )
  return [...rules, ...clausesThatDiffer(a, b), ...valuesThatDiffer(a, b)]
}

/** Rules that stand elsewhere. */
function clausesThatDiffer(a: Book, b: Book): BookDifference[] {
  return Object.values(SOURCES).flatMap((source) => {
    const [before, after] = [sourceIn(a, source).place, sourceIn(b, source).place]
    return before === after
      ? []
      : [{ what: `Clause: ${source.place}`, place: shortSource(source), first: before, second: after }]
  })
}

function valuesThatDiffer(a: Book, b: Book): BookDifference[] {
  return BOOK_TABLES.flatMap((table) =>
    [...new Set([...bookRows(a, table), ...bookRows(b, table)])].flatMap((row) =>
      table.columns.flatMap((column) => {
        const cell = { table: table.id, row, column }
        const [before, after] = [printedValue(a, cell), printedValue(b, cell)]
        return before === after
          ? []
          : [
              {
                what: cellWords(cell),
                place: shortSource(table.source),
                first: valueWords(table.id, before),
                second: valueWords(table.id, after),
              },
            ]
      }),
    ),
  )
}
