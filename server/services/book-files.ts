import type { BookEntry } from '#core/regulations/book/check'
import { readBookCsv, writeBookCsv } from '#schemas/book-csv'
import { BookFileSchema, type BookFileBody } from '#schemas/book-requests'
import type { BookValue, BookView } from '#schemas/book-views'
import { validate } from '#schemas/validate'
import type { Person } from '../repos/people'
import { allow, found } from './access'
import { enterBookValues } from './book'
import type { Context } from './context'
import { Problem } from './problem'

const asEntry = ({ edition, table, row, column, value, clause, from, place }: BookValue): BookEntry => {
  const entry = { edition, table, row, column, value, from, place }
  return clause === undefined ? entry : { ...entry, clause }
}

/** What the centre wrote down, as a file that another centre can read: JSON, or a table. */
export function exportBook(
  context: Context,
  actor: Person,
  as: 'json' | 'csv',
): { readonly name: string; readonly mime: string; readonly content: string } {
  allow(actor, 'book.keep')
  const values = context.repos.book.standing().map(asEntry)
  if (as === 'csv')
    return { name: 'book.csv', mime: 'text/csv; charset=utf-8', content: writeBookCsv(values) }
  const document = { format: 'nakshi.book', version: 1, values }
  return {
    name: 'book.json',
    mime: 'application/json; charset=utf-8',
    content: `${JSON.stringify(document, null, 2)}\n`,
  }
}

/** Takes a file in, all or none: what it says waits for a second person here, whoever checked it elsewhere. */
export function importBook(context: Context, actor: Person, { name, content }: BookFileBody): BookView {
  allow(actor, 'book.keep')
  return enterBookValues(context, actor, readEntries(name, content))
}

function readEntries(name: string, content: string): readonly BookEntry[] {
  const text = content.replace(/^\uFEFF/, '')
  if (!text.trimStart().startsWith('{')) {
    const read = readBookCsv(text)
    if (!read.ok)
      throw new Problem('bookFileWrong', { fields: [{ field: name, message: `${read.reason}.` }] })
    return read.entries
  }
  let document: unknown
  try {
    document = JSON.parse(text)
  } catch {
    throw new Problem('bookFileWrong', {
      fields: [{ field: name, message: 'is no JSON from its first line to its last.' }],
    })
  }
  const checked = validate(BookFileSchema, document)
  if (!checked.ok) throw new Problem('bookFileWrong', { fields: checked.problems })
  return checked.value.values
}

/** A signed list as it was signed. */
export function bookList(context: Context, actor: Person, id: number): { document: string; hash: string } {
  allow(actor, 'book.keep')
  return found(context.repos.book.list(id))
}
