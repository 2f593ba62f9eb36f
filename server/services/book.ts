import { createHash } from 'node:crypto'
import { bookOf, printedValue } from '#core/regulations/book/book'
import { checkEntries, type BookEntry } from '#core/regulations/book/check'
import { EDITIONS, PRESENT_EDITION, type Edition } from '#core/regulations/editions'
import { bookProblemSays } from '#words/library/book-problems'
import type { BookAgreeBody, BookSignBody } from '#schemas/book-requests'
import type { BookInForce, BookView, WalkItem } from '#schemas/book-views'
import { changeOf } from '../repos/book'
import type { Person } from '../repos/people'
import { allow, found } from './access'
import { changesInForce } from './book-in-force'
import { bookView, rowsInUse } from './book-walk'
import type { Context } from './context'
import { Problem } from './problem'
import { refuseUnseen } from './seen'
import { checkSignature } from './signatures'

type Repos = Pick<Context, 'repos' | 'now'>

/** For everybody who designs or looks something up. */
export function showBookInForce(context: Context, actor: Person): BookInForce {
  allow(actor, 'book.see')
  return { changes: changesInForce(context) }
}

/** The centre's book in one edition, the usual one where none is named: the walk, its own values, signed lists. */
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

/** Writes values down as the book has them. All or none; each waits for a second person and is used meanwhile. */
export function enterBookValues(context: Context, actor: Person, entries: readonly BookEntry[]): BookView {
  allow(actor, 'book.keep')
  const { repos, now } = context
  return repos.transaction(() => {
    refuseWrong(context, entries)
    for (const { clause, ...entry } of entries)
      repos.book.insert({ ...entry, clause: clause?.trim(), place: entry.place.trim() }, actor.id, now)
    const named = entries.slice(0, 3).map(noted)
    const more = entries.length > named.length ? ` and ${entries.length - named.length} more` : ''
    repos.audit.add(now, actor.id, 'bookEntered', `${named.join('; ')}${more}`)
    return bookView(context, entries[0]!.edition)
  })
}

/** As the trail of changes has it. */
const noted = ({ table, row, column, value, clause }: BookEntry): string =>
  `${table} ${row} ${column} = ${clause ?? value}`

function refuseWrong(context: Repos, entries: readonly BookEntry[]): void {
  const problems = checkEntries(
    entries,
    context.repos.book.standing().map(changeOf),
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

/** A second person has held the value against the book. */
export function checkBookValue(context: Context, actor: Person, id: number): BookView {
  allow(actor, 'book.keep')
  const { repos, now } = context
  return repos.transaction(() => {
    const value = found(repos.book.byId(id))
    if (value.enteredById === actor.id) throw new Problem('bookOwnCheck')
    if (!repos.book.check(id, actor.id, now)) throw new Problem('bookChecked')
    repos.audit.add(now, actor.id, 'bookChecked', noted(value))
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
    repos.audit.add(now, actor.id, 'bookWithdrawn', noted(value))
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

/** Signs the list of checked values, once none is open and none needs a second person. */
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
