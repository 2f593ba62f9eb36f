import { createHash } from 'node:crypto'
import { valuesUsed } from '#core/design/book-values'
import { assignmentOf, designOf } from '#core/exercise/assignment'
import type { Exercise } from '#core/exercise/exercise'
import { bookOf, printedValue } from '#core/regulations/book/book'
import { cellKey, type BookChange, type Cell } from '#core/regulations/book/change'
import { checkEntries, rowKey, type BookEntry, type RowsInUse } from '#core/regulations/book/check'
import { BOOK_TABLES } from '#core/regulations/book/tables'
import { isDoubted } from '#core/regulations/book/doubts'
import { EDITIONS, PRESENT_EDITION, type Edition } from '#core/regulations/editions'
import { bookProblemSays } from '#words/library/book-problems'
import type { BookAgreeBody, BookSignBody } from '#schemas/book-requests'
import type { BookAgreed, BookInForce, BookValue, BookView, WalkItem } from '#schemas/book-views'
import type { Person } from '../repos/people'
import { allow, found } from './access'
import type { Context } from './context'
import { Problem } from './problem'
import { refuseUnseen, seenOf } from './seen'
import { checkSignature } from './signatures'

type Repos = Pick<Context, 'repos' | 'now'>
const today = ({ now }: Pick<Context, 'now'>): string => now.slice(0, 10)

/** What the centre's book says otherwise today. */
export const changesInForce = (context: Repos): readonly BookChange[] =>
  context.repos.book.inForce(today(context))

/** An exercise with the book it is worked by: its own since it was set, the one in force until then. */
export const withBook = (context: Repos, state: 'draft' | 'set', exercise: Exercise): Exercise =>
  state === 'set' ? exercise : { ...exercise, book: changesInForce(context) }

/** For everybody who designs or looks something up. */
export function showBookInForce(context: Context, actor: Person): BookInForce {
  allow(actor, 'book.see')
  return { changes: changesInForce(context) }
}

interface CellUsed {
  readonly cell: Cell
  readonly codes: readonly string[]
}

/** What one exercise looks up, kept with its document. */
const lookedUp = new WeakMap<Exercise, readonly Cell[]>()
function cellsOf(exercise: Exercise): readonly Cell[] {
  const known = lookedUp.get(exercise)
  if (known) return known
  const cells = valuesUsed(designOf(assignmentOf(exercise))).map(({ cell }) => cell)
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

/** Everything about the centre's book in one edition, the usual one where none is named: the walk through it, what was written down, lists signed. */
export function showBook(context: Context, actor: Person, edition?: Edition): BookView {
  allow(actor, 'book.keep')
  return bookView(context, edition ?? usualEdition(context))
}

/** The edition to which most exercises are set. */
function usualEdition({ repos }: Repos): Edition {
  const all = repos.exercises.all().map(({ exercise }) => exercise.edition)
  const count = (edition: Edition) => all.filter((one) => one === edition).length
  return EDITIONS.reduce((best, edition) => (count(edition) > count(best) ? edition : best), PRESENT_EDITION)
}

function bookView(context: Repos, edition: Edition): BookView {
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
  for (const [key, value] of own) if (!used.has(key)) used.set(key, { cell: value, codes: [] })
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
function rowsInUse(context: Repos, editions: readonly Edition[]): RowsInUse {
  const rows = new Map<string, string[]>()
  for (const edition of new Set(editions))
    for (const { cell, codes } of cellsUsed(context, edition))
      rows.set(rowKey(cell), [...new Set([...(rows.get(rowKey(cell)) ?? []), ...codes])].sort())
  return rows
}

/** Writes values down as the book has them. All or none; each waits for a second person and is used meanwhile. */
export function enterBookValues(context: Context, actor: Person, entries: readonly BookEntry[]): BookView {
  allow(actor, 'book.keep')
  const { repos, now } = context
  return repos.transaction(() => {
    refuseWrong(context, entries)
    for (const entry of entries) repos.book.insert({ ...entry, place: entry.place.trim() }, actor.id, now)
    const named = entries
      .slice(0, 3)
      .map(({ table, row, column, value }) => `${table} ${row} ${column} = ${value}`)
    const more = entries.length > named.length ? ` and ${entries.length - named.length} more` : ''
    repos.audit.add(now, actor.id, 'bookEntered', `${named.join('; ')}${more}`)
    return bookView(context, entries[0]!.edition)
  })
}

function refuseWrong(context: Repos, entries: readonly BookEntry[]): void {
  const problems = checkEntries(
    entries,
    context.repos.book.standing().map(asChange),
    rowsInUse(
      context,
      entries.map(({ edition }) => edition),
    ),
  )
  if (problems.length === 0) return
  throw new Problem('bookEntriesWrong', {
    fields: problems
      .slice(0, 20)
      .map((problem) => ({
        field: entries.length > 1 ? `${problem.at + 1}.` : '',
        message: bookProblemSays(problem, entries[problem.at]!),
      })),
  })
}

const asChange = ({ edition, table, row, column, value, place, checkedAt }: BookValue): BookChange => ({
  edition,
  table,
  row,
  column,
  value,
  place,
  checked: checkedAt !== null,
})

/** A second person has held the value against the book. */
export function checkBookValue(context: Context, actor: Person, id: number): BookView {
  allow(actor, 'book.keep')
  const { repos, now } = context
  return repos.transaction(() => {
    const value = found(repos.book.byId(id))
    if (value.enteredById === actor.id) throw new Problem('bookOwnCheck')
    if (!repos.book.check(id, actor.id, now)) throw new Problem('bookChecked')
    repos.audit.add(
      now,
      actor.id,
      'bookChecked',
      `${value.table} ${value.row} ${value.column} = ${value.value}`,
    )
    return bookView(context, value.edition)
  })
}

/** Takes a value back: the shipped one, or the one before, holds again. */
export function withdrawBookValue(context: Context, actor: Person, id: number): BookView {
  allow(actor, 'book.keep')
  const { repos, now } = context
  return repos.transaction(() => {
    const value = found(repos.book.byId(id))
    repos.book.withdraw(id, actor.id, now)
    repos.audit.add(
      now,
      actor.id,
      'bookWithdrawn',
      `${value.table} ${value.row} ${value.column} = ${value.value}`,
    )
    return bookView(context, value.edition)
  })
}

/** The book says the same as what stands on the screen. */
export function agreeBookValue(context: Context, actor: Person, body: BookAgreeBody): BookView {
  allow(actor, 'book.keep')
  const { repos, now } = context
  return repos.transaction(() => {
    const present = printedValue(bookOf(body.edition, changesInForce(context)), body)
    if (present !== body.value)
      throw new Problem('changedSince', { extra: { theirs: bookView(context, body.edition) } })
    repos.book.agree(body.edition, body, body.value, actor.id, now)
    return bookView(context, body.edition)
  })
}

/** Signs the list of values held against the book, once none is open and none waits for a second person. */
export async function signBookList(context: Context, actor: Person, body: BookSignBody): Promise<BookView> {
  allow(actor, 'book.keep')
  refuseUnfinished(context, body)
  await checkSignature(context, actor.id, body.name, body.pin)
  const { repos, now } = context
  // While the PIN was proved somebody may have written something down.
  return repos.transaction(() => {
    const walk = refuseUnfinished(context, body)
    const document = JSON.stringify({
      edition: body.edition,
      signedBy: actor.name,
      signedAt: now,
      values: walk,
    })
    const hash = createHash('sha256').update(document).digest('hex')
    repos.book.sign(body.edition, document, hash, actor.id, now)
    repos.audit.add(
      now,
      actor.id,
      'bookSigned',
      `${body.edition}, ${walk.length} values, ${hash.slice(0, 16)}`,
    )
    return bookView(context, body.edition)
  })
}

function refuseUnfinished(context: Repos, { edition, seen }: BookSignBody): WalkItem[] {
  const view = bookView(context, edition)
  refuseUnseen(seen, view.seen, () => view)
  const open = view.walk.filter(({ state }) => state === 'open' || state === 'otherUnchecked').length
  if (open > 0 || view.walk.length === 0) throw new Problem('bookNotDone')
  return [...view.walk]
}
