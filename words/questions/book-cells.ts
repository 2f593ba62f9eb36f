import { printedValue, type Book } from '#core/regulations/book/book'
import { cellKey, type Cell } from '#core/regulations/book/change'
import { ruleCell } from '#core/regulations/book/rule-tables'
import type { Question } from '#core/questions/question'

/** Questions whose answer is one value of the book, by their code. */
const CELLS: Readonly<Record<string, Cell>> = {
  'ca-it-25': { table: 'rating-flat-twin-earth', row: '2.5', column: 'C/1' },
  'ca-it-6': { table: 'rating-flat-twin-earth', row: '6', column: 'C/1' },
  'ca-drop-25': { table: 'drop-flat-twin-earth', row: '2.5', column: '1' },
  'ca-ambient': { table: 'ca-air', row: '40', column: '70' },
  'ca-grouping': { table: 'cg', row: '3', column: 'bunched' },
  'bo-zs-b32': { table: 'zs-breakers', row: '32', column: 'B' },
  'bo-zs-c16': { table: 'zs-breakers', row: '16', column: 'C' },
  'bo-zs-b6': { table: 'zs-breakers', row: '6', column: 'B' },
  'bn-size-pme': { table: 'bonding', row: '35', column: 'bonding' },
  're-socket-17': ruleCell('socketRcdA'),
  're-socket-18': ruleCell('socketRcdA'),
}

export const QUESTIONS_OF_BOOK: readonly string[] = Object.keys(CELLS)
export const cellOfQuestion = (code: string): Cell => CELLS[code]!

/** A question as the centre's book has it: its answer and where it stands, if that book says otherwise. */
export function questionIn(question: Question, book: Book): Question {
  const cell = CELLS[question.code]
  const change = cell && book.changed.get(cellKey(cell))
  if (!change || question.expected.kind !== 'number') return question
  const value = printedValue(book, cell)
  if (value === undefined) return question
  const unchecked = change.checked ? '' : ', not yet checked by a second person'
  return {
    ...question,
    expected: { ...question.expected, value },
    source: `the centre’s book (${change.place})${unchecked}`,
  }
}
