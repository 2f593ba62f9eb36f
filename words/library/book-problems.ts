import type { BookEntry, BookProblem } from '#core/regulations/book/check'
import { EDITION_NAME } from '#core/regulations/editions'
import { dayText } from '../day'
import { cellWords, tableWords, valueWords } from './book-words'
import { bookTable } from '#core/regulations/book/tables'

type Params = BookProblem['params']

const SENTENCES: Readonly<Record<BookProblem['code'], (p: Params, entry: BookEntry) => string>> = {
  noTable: (p) => `There is no table “${p.table}” here. Take the keys of tables from an exported file.`,
  noColumn: (p) => `This table has no column “${p.column}”. It has ${p.columns}.`,
  noRow: (p) => `This table has no row “${p.row}”, and none can be added to it.`,
  outOfRange: (p, { table }) =>
    `${valueWords(table, Number(p.value))} is out of range: ${p.least} to ${p.most}. Check the decimal point and the unit.`,
  notADay: (p) => `“${p.from}” is no day. Write the year, the month and the day, as in 2026-09-01.`,
  beforeEdition: (p, { edition }) =>
    `The ${EDITION_NAME[edition]} was not in force then. Choose a day from ${dayText(String(p.from))} on.`,
  noPlace: () => 'Give the source: document, table and page.',
  twice: (p) => `The same place has two values on the same day, ${p.one} and ${p.other}. Leave one of them.`,
  hole: (p, { table }) =>
    `Row ${p.row} would have a hole: ${String(p.missing)
      .split(', ')
      .map((key) => holeWords(table, key))
      .join('; ')}. Give the whole row at once.`,
  outOfOrder: (p, { table }) =>
    [
      `${valueWords(table, Number(p.value))} does not fit beside row ${tableWords(table).row(String(p.row))},`,
      `which has ${valueWords(table, Number(p.other))}. Check row and column again.`,
    ].join(' '),
  rowInUse: (p) => `Exercises use this row: ${p.exercises}. It cannot be removed.`,
  noClause: () => 'Enter the clause number as your copy has it, and no value.',
  clauseElsewhere: () => 'A clause number belongs to the list of clauses, not to a value.',
  rowHeld: () => 'Rows of this table cannot be removed. Enter the value that the book has.',
}

/** A missing column, a missing count, or another table that needs the row too. */
function holeWords(table: string, key: string): string {
  if (bookTable(key)) return `nothing in ${tableWords(key).title}`
  return bookTable(table)?.columns.includes(key)
    ? `nothing under ${tableWords(table).column(key)}`
    : `nothing for ${key}`
}

/** What keeps an entry out, as one sentence that says how to mend it, with the place in front. */
export function bookProblemSays({ code, params }: BookProblem, entry: BookEntry): string {
  const sentence = SENTENCES[code](params, entry)
  const isKnown = bookTable(entry.table)?.columns.includes(entry.column) ?? false
  return isKnown ? `${cellWords(entry)}: ${sentence}` : sentence
}
