import { bookRows, printedValue, sourceIn, type Book } from '#core/regulations/book/book'
import { cellKey } from '#core/regulations/book/change'
import { BOOK_TABLES, bookTable } from '#core/regulations/book/tables'
import { ruleCell } from '#core/regulations/book/rule-tables'
import type { BookTable } from '#core/regulations/book/table'
import { PARAMETERS } from '#core/regulations/book/values'
import type { CableKind } from '#core/regulations/cables/cable'
import { CABLES } from '#core/regulations/cables/sizes'
import { MAGNETIC_BAND, type Curve } from '#core/regulations/devices'
import { SOURCES } from '#core/regulations/source'
import { U0_V } from '#core/regulations/supply'
import { tableWords } from './book-words'
import { PARAMETER_WORDS } from './parameter-words'
import { GAP } from './cells'
import type { Cell, LibraryTable } from './entry'
import { workedTables } from './worked-tables'

/** How a value comes about, where there is a relation behind it. */
function derivationOf(book: Book, { id }: BookTable, row: string, column: string): string | undefined {
  const { cMin } = book.values.parameters
  if (id === 'zs-breakers') return `${U0_V} × ${cMin} ÷ (${MAGNETIC_BAND[column as Curve][1]} × ${row})`
  if (id.startsWith('zs-')) {
    const ohm = printedValue(book, { table: id, row, column })
    if (ohm === undefined) return undefined
    return `${U0_V} × ${cMin} ÷ ${((U0_V * cMin) / ohm).toFixed(0)} A, the current that melts it in that time`
  }
  if (id.startsWith('drop-')) {
    const copper = printedValue(book, { table: 'copper', row, column: 'r' })
    const { conductorC } = CABLES[id.slice('drop-'.length) as CableKind]
    if (copper === undefined) return undefined
    return `about ${column === '3' ? '√3' : '2'} × ${copper.toFixed(2)} mΩ/m at ${conductorC} °C`
  }
  if (/^conduit-\d/.test(id)) return 'on the line through the printed factors'
  return id === 'trunking' ? 'about 0.45 × width × height inside' : undefined
}

/** Resistances are printed with two decimals, as the book has them. */
const printed = (id: string, value: number): string =>
  id.startsWith('zs-') || id === 'copper'
    ? value.toFixed(value < 1 && id === 'copper' ? 3 : 2)
    : String(value)

function cellOf(book: Book, table: BookTable, row: string, column: string): Cell {
  const at = { table: table.id, row, column }
  const change = book.changed.get(cellKey(at))
  const value = printedValue(book, at)
  if (value === undefined) return { ...GAP, at, change }
  // A value read in a book does not come about by our relation.
  const derivation = change ? undefined : derivationOf(book, table, row, column)
  return { text: printed(table.id, value), value, derivation, at, change }
}

function libraryTable(book: Book, table: BookTable): LibraryTable {
  const words = tableWords(table.id)
  return {
    kind: 'table',
    id: table.id,
    title: words.title,
    source: sourceIn(book, table.source),
    unit: words.unit,
    corner: words.corner,
    columns: table.columns.map(words.column),
    rows: bookRows(book, table).map((row) => ({
      head: words.row(row),
      cells: table.columns.map((column) => cellOf(book, table, row, column)),
    })),
    note: words.note,
  }
}

/** The figures that stand in rules, one to a row. */
const figures = (book: Book): LibraryTable => ({
  kind: 'table',
  id: 'figures',
  title: 'Figures in the rules',
  source: SOURCES.figures,
  unit: '',
  corner: 'rule',
  columns: ['figure', 'unit', 'where'],
  rows: PARAMETERS.map((name) => {
    const { table, row, column } = ruleCell(name)
    const facts = bookTable(table)!
    return {
      head: PARAMETER_WORDS[name].name,
      cells: [
        cellOf(book, facts, row, column),
        { text: PARAMETER_WORDS[name].unit },
        { text: facts.source.place },
      ],
    }
  }),
})

const made = new WeakMap<Book, readonly LibraryTable[]>()

/** Every table that a design reads, as this book has it: made from the data that it reads. */
export function tablesOf(book: Book): readonly LibraryTable[] {
  const known = made.get(book)
  if (known) return known
  const tables = [
    ...BOOK_TABLES.filter(({ id }) => !id.startsWith('rule-')).map((table) => libraryTable(book, table)),
    ...workedTables(book),
    figures(book),
  ]
  made.set(book, tables)
  return tables
}
