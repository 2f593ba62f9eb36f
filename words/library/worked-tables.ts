import { rcdZsOhm, type Book } from '#core/regulations/book/book'
import { RCD_RATINGS_A } from '#core/regulations/rcd'
import { SOURCES } from '#core/regulations/source'
import { plain } from './cells'
import type { LibraryTable } from './entry'

const residual = (book: Book): LibraryTable => ({
  kind: 'table',
  id: 'zs-residual',
  title: 'Largest Zs where an RCD clears the fault',
  source: SOURCES.residualLoopImpedance,
  unit: 'Ω',
  corner: 'IΔn',
  columns: ['Zs'],
  rows: RCD_RATINGS_A.map((rating) => ({
    head: `${rating * 1e3} mA`,
    cells: [plain(rcdZsOhm(book, rating), `${book.values.parameters.touchLimitV} V ÷ ${rating} A`)],
  })),
  note: 'An electrode above 200 Ω is likely to be unstable.',
})

/** Tables that are worked out from others. */
export const workedTables = (book: Book): LibraryTable[] => [residual(book)]
