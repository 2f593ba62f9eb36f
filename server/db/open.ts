import { mkdirSync } from 'node:fs'
import { dirname, join } from 'node:path'
import BetterSqlite, { type Database } from 'better-sqlite3'
import { migrate } from './migrate'

const BUSY_MS = 5000

/** Opens (and creates) the database at `file`, with every migration applied. `:memory:` for a passing one. */
export function openDatabase(
  file: string,
  migrations = join(process.cwd(), 'server/db/migrations'),
): Database {
  if (file !== ':memory:') mkdirSync(dirname(file), { recursive: true })
  const db = new BetterSqlite(file)
  db.pragma('journal_mode = WAL')
  db.pragma('foreign_keys = ON')
  db.pragma(`busy_timeout = ${BUSY_MS}`)
  migrate(db, migrations)
  return db
}
