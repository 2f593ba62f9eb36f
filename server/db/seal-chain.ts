import { createHash } from 'node:crypto'
import type { Database } from 'better-sqlite3'

const sha256 = (text: string): string => createHash('sha256').update(text).digest('hex')

/** What is put into a sealed table is hashed by the database itself. */
export function allowSealing(db: Database): void {
  db.pragma('trusted_schema = ON')
  db.function('nakshi_sha256', { deterministic: true }, (text: unknown) => sha256(String(text)))
}

interface Link {
  readonly id: number
  readonly kind: string
  readonly row: number
  readonly content: string
  readonly chain: string
}

/** Tables whose rows are sealed, with what is sealed of each: every column, in its order. */
export function sealedTables(db: Database): { readonly name: string; readonly columns: readonly string[] }[] {
  // What a link speaks of is sealed, whatever has become of its trigger.
  const tables = db
    .prepare<[], { name: string }>(
      `SELECT name FROM sqlite_master WHERE type = 'table' AND (name IN (SELECT kind FROM seal)
         OR EXISTS (SELECT 1 FROM sqlite_master t WHERE t.type = 'trigger' AND t.name = sqlite_master.name || '_sealed'))
       ORDER BY 1`,
    )
    .all()
  const columns = db.prepare<[string], { name: string }>('SELECT name FROM pragma_table_info(?) ORDER BY cid')
  return tables.map(({ name }) => ({ name, columns: columns.all(name).map((column) => column.name) }))
}

/** The newest link, to be printed and kept elsewhere: what is cut off behind it shows there. Empty before the first. */
export const sealHead = (db: Database): string =>
  db.prepare<[], { chain: string }>('SELECT chain FROM seal ORDER BY id DESC LIMIT 1').get()?.chain ?? ''

/**
 * Where the chain of decisions, occasions and signatures breaks first, in words; undefined where it holds, or where the
 * database is from before it.
 */
export function sealBreak(db: Database): string | undefined {
  const isThere = db.prepare("SELECT 1 FROM sqlite_master WHERE type = 'table' AND name = 'seal'").get()
  if (!isThere) return undefined
  allowSealing(db)
  const tables = sealedTables(db)
  const contentOf = new Map(
    tables.map(({ name, columns }) => [
      name,
      db.prepare<[number], { content: string }>(
        `SELECT nakshi_sha256(json_array(${columns.join(', ')})) AS content FROM ${name} WHERE rowid = ?`,
      ),
    ]),
  )
  let [before, last] = ['', 0]
  for (const link of db
    .prepare<[], Link>('SELECT id, kind, row, content, chain FROM seal ORDER BY id')
    .iterate()) {
    const broken = brokenLink(link, before, last, (kind, row) => contentOf.get(kind)?.get(row)?.content)
    if (broken) return broken
    before = link.chain
    last = link.id
  }
  return unsealed(db, tables)
}

const named = ({ kind, row }: Pick<Link, 'kind' | 'row'>): string => `${kind.replaceAll('_', ' ')} ${row}`

function brokenLink(
  link: Link,
  before: string,
  last: number,
  contentOf: (kind: string, row: number) => string | undefined,
): string | undefined {
  const { id, kind, row, content, chain } = link
  if (id !== last + 1) return `the seal has a gap before link ${id}`
  if (chain !== sha256(before + kind + row + content))
    return `link ${id} of the seal, of ${named(link)}, has changed`
  const present = contentOf(kind, row)
  if (present === undefined) return `${named(link)} is gone; link ${id} of the seal says it was there`
  return present === content ? undefined : `${named(link)} has changed since link ${id} of the seal`
}

/** A row behind the first sealed one of its kind that no link speaks of. */
function unsealed(db: Database, tables: readonly { readonly name: string }[]): string | undefined {
  for (const { name } of tables) {
    const row = db
      .prepare<[string, string], { row: number }>(
        `SELECT t.rowid AS row FROM ${name} t
         WHERE t.rowid > (SELECT min(row) FROM seal WHERE kind = ?)
           AND NOT EXISTS (SELECT 1 FROM seal s WHERE s.kind = ? AND s.row = t.rowid) ORDER BY 1 LIMIT 1`,
      )
      .get(name, name)
    if (row) return `${named({ kind: name, row: row.row })} was put in without the seal`
  }
  return undefined
}
