import { valuesUsed } from '#core/design/book-values'
import { assignmentOf, designOf } from '#core/exercise/assignment'
import type { Exercise } from '#core/exercise/exercise'
import { bookOf, printedValue } from '#core/regulations/book/book'
import { CLAUSES, cellKey, type Cell } from '#core/regulations/book/change'
import { rowKey, type RowsInUse } from '#core/regulations/book/check'
import { isDoubted } from '#core/regulations/book/doubts'
import { BOOK_TABLES } from '#core/regulations/book/tables'
import type { Edition } from '#core/regulations/editions'
import type { BookAgreed, BookValue, BookView, WalkItem } from '#schemas/book-views'
import { changesInForce, today } from './book-in-force'
import type { Context } from './context'
import { seenOf } from './seen'

type Repos = Pick<Context, 'repos' | 'now'>

interface CellUsed {
  readonly cell: Cell
  readonly codes: readonly string[]
}

/** What one exercise looks up, kept with its document. */
const lookedUp = new WeakMap<Exercise, readonly Cell[]>()
function cellsOf(exercise: Exercise): readonly Cell[] {
  const known = lookedUp.get(exercise)
  if (known) return known
  const cells = valuesUsed(designOf(assignmentOf(exercise)))
  lookedUp.set(exercise, cells)
  return cells
}

/** Every value that the centre's exercises of one edition look up, with their codes. */
function cellsUsed({ repos }: Repos, edition: Edition): CellUsed[] {
  const used = new Map<string, { cell: Cell; codes: string[] }>()
  for (const { exercise } of repos.exercises.all()) {
    if (exercise.edition !== edition) continue
    for (const cell of cellsOf(exercise)) {
      const known = used.get(cellKey(cell)) ?? { cell, codes: [] }
      known.codes.push(exercise.code)
      used.set(cellKey(cell), known)
    }
  }
  return [...used.values()]
}

/** The walk through an edition, what was written down for any, and the lists that were signed. */
export function bookView(context: Repos, edition: Edition): BookView {
  const walk = walkOf(context, edition)
  return {
    edition,
    walk,
    values: context.repos.book.standing(),
    lists: context.repos.book.lists(),
    seen: seenOf(walk),
  }
}

/** The values to hold against the book: our own doubts first, then as the book has them. */
function walkOf(context: Repos, edition: Edition): WalkItem[] {
  const { book: repo } = context.repos
  const agreed = new Map(repo.agreed(edition).map((one) => [cellKey(one), one]))
  const own = inForceByCell(repo.standing(), edition, today(context))
  const [shipped, present] = [bookOf(edition), bookOf(edition, changesInForce(context))]
  const used = new Map(cellsUsed(context, edition).map((one) => [cellKey(one.cell), one]))
  for (const [key, value] of own)
    // A clause is no value to walk through: it stands in the list of what was entered.
    if (!used.has(key) && value.table !== CLAUSES) used.set(key, { cell: value, codes: [] })
  return [...used.entries()]
    .map(
      ([
        key,
        {
          cell: { table, row, column },
          codes,
        },
      ]) => {
        const cell = { table, row, column }
        const value = printedValue(present, cell) ?? null
        return {
          ...cell,
          value,
          shipped: printedValue(shipped, cell) ?? null,
          ...stateOf(own.get(key), agreed.get(key), value),
          ownId: own.get(key)?.id ?? null,
          isDoubted: isDoubted(cell),
          exercises: codes,
        }
      },
    )
    .sort((a, b) => Number(b.isDoubted) - Number(a.isDoubted) || inBookOrder(a, b))
}

const PLACE = new Map(BOOK_TABLES.map(({ id }, i) => [id, i]))
/** As the book has them: table after table, down each column. */
const inBookOrder = (a: Cell, b: Cell): number =>
  PLACE.get(a.table)! - PLACE.get(b.table)! ||
  a.column.localeCompare(b.column) ||
  Number(a.row) - Number(b.row) ||
  a.row.localeCompare(b.row)

function stateOf(
  own: BookValue | undefined,
  agreed: BookAgreed | undefined,
  value: number | null,
): Pick<WalkItem, 'state' | 'by' | 'at'> {
  if (own)
    return {
      state: own.checkedAt === null ? 'otherUnchecked' : 'other',
      by: own.enteredBy,
      at: own.enteredAt,
    }
  // Found the same when another value was shipped: it is to be looked at again.
  if (agreed?.value === value) return { state: 'same', by: agreed.by, at: agreed.at }
  return { state: 'open', by: null, at: null }
}

/** Of each cell the value that holds on a day: the latest that has come into force. */
function inForceByCell(values: readonly BookValue[], edition: Edition, day: string): Map<string, BookValue> {
  const latest = new Map<string, BookValue>()
  for (const value of values)
    if (value.edition === edition && value.from <= day) latest.set(cellKey(value), value)
  return latest
}

/** Rows that a design of the centre rests on, in any of its exercises. */
export function rowsInUse(context: Repos, editions: readonly Edition[]): RowsInUse {
  const rows = new Map<string, string[]>()
  for (const edition of new Set(editions))
    for (const { cell, codes } of cellsUsed(context, edition))
      rows.set(rowKey(cell), [...new Set([...(rows.get(rowKey(cell)) ?? []), ...codes])].sort())
  return rows
}
