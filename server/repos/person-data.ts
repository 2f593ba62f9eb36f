import type { Database } from 'better-sqlite3'

type Row = Readonly<Record<string, unknown>>

/** What never leaves: proofs of who somebody is. */
const SECRETS = ['password_hash', 'pin_hash', 'token', 'public_key', 'credential', 'code_hash']

/** What somebody does, with rows of its own below it. */
const WORKS = ['attempt', 'account', 'survey']

/**
 * Everything that the database holds of one person, table by table: rows that name them, and rows of their
 * work.
 */
export function createPersonDataRepo(db: Database) {
  const tables = db
    .prepare<[], { name: string }>(
      "SELECT name FROM sqlite_master WHERE type = 'table' AND name NOT LIKE 'sqlite_%'",
    )
    .all()
    .map(({ name }) => name)
  const columnsTo = (table: string, parent: string): string[] =>
    (db.pragma(`foreign_key_list(${table})`) as { table: string; from: string }[])
      .filter((key) => key.table === parent)
      .map((key) => key.from)

  const plain = (row: Row): Row =>
    Object.fromEntries(
      Object.entries(row)
        .filter(([column]) => !SECRETS.includes(column))
        .map(([column, value]) => [column, Buffer.isBuffer(value) ? value.toString('base64') : value]),
    )
  const rowsWhere = (table: string, columns: readonly string[], ids: readonly number[]): Row[] => {
    if (columns.length === 0 || ids.length === 0) return []
    const marks = ids.map(() => '?').join(', ')
    const where = columns.map((column) => `${column} IN (${marks})`).join(' OR ')
    return db
      .prepare<number[], Row>(`SELECT * FROM ${table} WHERE ${where}`)
      .all(...columns.flatMap(() => ids))
      .map(plain)
  }

  return {
    of: (personId: number): Readonly<Record<string, readonly Row[]>> => {
      const works = WORKS.map((work) => ({
        work,
        ids: rowsWhere(work, ['person_id'], [personId]).map(({ id }) => Number(id)),
      }))
      const entries = tables.map((table) => {
        if (table === 'person') return [table, rowsWhere(table, ['id'], [personId])] as const
        const named = rowsWhere(table, columnsTo(table, 'person'), [personId])
        const ofWork = works.flatMap(({ work, ids }) =>
          table === work ? [] : rowsWhere(table, columnsTo(table, work), ids),
        )
        const once = [...new Map([...named, ...ofWork].map((row) => [JSON.stringify(row), row])).values()]
        return [table, once] as const
      })
      return Object.fromEntries(entries.filter(([, rows]) => rows.length > 0))
    },
  }
}
