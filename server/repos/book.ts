import type { Database } from 'better-sqlite3'
import type { BookChange, Cell } from '#core/regulations/book/change'
import { cellKey } from '#core/regulations/book/change'
import type { BookEntry } from '#core/regulations/book/check'
import type { Edition } from '#core/regulations/editions'
import type { BookAgreed, BookListHead, BookValue } from '#schemas/book-views'
import { mayBeTakenBack } from '../db/moment'

interface RawValue extends Omit<BookValue, 'clause'> {
  readonly clause: string | null
}
/** Left out where there is none: what is sent back as an entry has no empty clause. */
const toValue = ({ clause, ...value }: RawValue): BookValue =>
  clause === null ? value : { ...value, clause }

const COLUMNS = `v.id, v.edition, v.table_key AS "table", v.row_key AS row, v.column_key AS "column", v.value, v.clause,
  v.in_force_from AS "from", v.place, v.entered_by AS enteredById, e.name AS enteredBy, v.entered_at AS enteredAt,
  c.name AS checkedBy, v.checked_at AS checkedAt`
const FROM = `FROM book_value v JOIN person e ON e.id = v.entered_by LEFT JOIN person c ON c.id = v.checked_by`

/** As a design reads it. */
export const changeOf = (value: BookValue): BookChange => {
  const { edition, table, row, column, value: figure, clause, place, checkedAt } = value
  const change = { edition, table, row, column, value: figure, place, checked: checkedAt !== null }
  return clause === undefined ? change : { ...change, clause }
}

const statementsOf = (db: Database) => ({
  standing: db.prepare<[], RawValue>(
    `SELECT ${COLUMNS} ${FROM} WHERE v.withdrawn_at IS NULL
     ORDER BY v.edition, v.table_key, v.row_key, v.column_key, v.in_force_from, v.id`,
  ),
  // Values are added, checked and withdrawn, each once: what they amount to changes with each of these.
  state: db.prepare<[], { state: string }>(
    "SELECT count(*) || ' ' || count(checked_at) || ' ' || count(withdrawn_at) AS state FROM book_value",
  ),
  byId: db.prepare<[number], RawValue>(`SELECT ${COLUMNS} ${FROM} WHERE v.id = ? AND v.withdrawn_at IS NULL`),
  insert: db.prepare(
    `INSERT INTO book_value
       (edition, table_key, row_key, column_key, value, clause, in_force_from, place, entered_by, entered_at)
     VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?, ?)`,
  ),
  check: db.prepare(
    `UPDATE book_value SET checked_by = ?, checked_at = ?
     WHERE id = ? AND checked_by IS NULL AND entered_by <> ? AND withdrawn_at IS NULL`,
  ),
  withdraw: db.prepare(
    'UPDATE book_value SET withdrawn_by = ?, withdrawn_at = ? WHERE id = ? AND withdrawn_at IS NULL',
  ),
  agreed: db.prepare<[string], BookAgreed>(
    `SELECT a.table_key AS "table", a.row_key AS row, a.column_key AS "column", a.value, p.name AS by, a.at
     FROM book_agreed a JOIN person p ON p.id = a.by_id WHERE a.edition = ?`,
  ),
  putAgreed: db.prepare(
    `INSERT INTO book_agreed (edition, table_key, row_key, column_key, value, by_id, at) VALUES (?, ?, ?, ?, ?, ?, ?)
     ON CONFLICT (edition, table_key, row_key, column_key)
     DO UPDATE SET value = excluded.value, by_id = excluded.by_id, at = excluded.at`,
  ),
  lists: db.prepare<[], BookListHead>(
    `SELECT l.id, l.edition, l.hash, p.name AS by, l.signed_at AS at,
       json_array_length(l.document, '$.values') AS "values"
     FROM book_list l JOIN person p ON p.id = l.signed_by ORDER BY l.id DESC`,
  ),
  list: db.prepare<[number], { document: string; hash: string }>(
    'SELECT document, hash FROM book_list WHERE id = ?',
  ),
  sign: db.prepare(
    'INSERT INTO book_list (edition, document, hash, signed_by, signed_at) VALUES (?, ?, ?, ?, ?)',
  ),
})

/** The centre's own book: values read otherwise, values found the same, lists that were signed. */
export function createBookRepo(db: Database) {
  const sql = statementsOf(db)
  /** What holds on a day is the same object until something is written: what is made from it is kept with it. */
  let kept: { readonly of: string; readonly changes: readonly BookChange[] } | undefined

  return {
    /** Everything that stands, in force or to come. */
    standing: (): BookValue[] => sql.standing.all().map(toValue),
    byId: (id: number): BookValue | undefined => {
      const row = sql.byId.get(id)
      return row && toValue(row)
    },
    /** What holds on a day (ISO date): of each cell the latest that has come into force. */
    inForce: (day: string): readonly BookChange[] => {
      const of = `${day} ${sql.state.get()!.state}`
      if (kept?.of === of) return kept.changes
      const latest = new Map<string, BookChange>()
      for (const row of sql.standing.all())
        if (row.from <= day) latest.set(`${row.edition} ${cellKey(row)}`, changeOf(toValue(row)))
      const changes = [...latest.values()]
      // What an open transaction has written may yet be taken back.
      if (!mayBeTakenBack(db)) kept = { of, changes }
      return changes
    },
    insert: (
      { edition, table, row, column, value, clause, from, place }: BookEntry,
      by: number,
      at: string,
    ): void => {
      sql.insert.run(edition, table, row, column, value, clause ?? null, from, place, by, at)
    },
    /** False where it was checked before, or by whoever wrote it down. */
    check: (id: number, by: number, at: string): boolean => {
      return sql.check.run(by, at, id, by).changes === 1
    },
    withdraw: (id: number, by: number, at: string): boolean => {
      return sql.withdraw.run(by, at, id).changes === 1
    },
    agreed: (edition: Edition): BookAgreed[] => sql.agreed.all(edition),
    agree: (edition: Edition, { table, row, column }: Cell, value: number, by: number, at: string): void =>
      void sql.putAgreed.run(edition, table, row, column, value, by, at),
    lists: (): BookListHead[] => sql.lists.all(),
    list: (id: number) => sql.list.get(id),
    sign: (edition: Edition, document: string, hash: string, by: number, at: string): void =>
      void sql.sign.run(edition, document, hash, by, at),
  }
}
