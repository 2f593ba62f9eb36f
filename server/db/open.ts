import { chmodSync, existsSync, mkdirSync } from 'node:fs'
import { dirname, join } from 'node:path'
import { fileURLToPath } from 'node:url'
import BetterSqlite, { type Database } from 'better-sqlite3'
import { migrate } from './migrate'
import { allowSealing } from './seal-chain'

const BUSY_MS = 5000
/** Pages kept in memory: the floor of a centre after five years is read from more than the 2 MB that are usual, kB. */
const CACHE_KB = 65_536
/** What stands in the folder of the data is for its owner alone. */
export const OWN_FILE = 0o600
export const OWN_FOLDER = 0o700

/** Beside the built server, or in the checkout: wherever the program was started from. */
function migrationsFolder(): string {
  const here = dirname(fileURLToPath(import.meta.url))
  const places = [
    join(dirname(process.argv[1] ?? ''), 'migrations'),
    join(here, 'migrations'),
    join(process.cwd(), 'server/db/migrations'),
  ]
  const found = places.find((folder) => existsSync(join(folder, '0001_start.sql')))
  if (!found) throw new Error(`The migrations are not beside the program: looked in ${places.join(', ')}.`)
  return found
}

/**
 * Opens (and creates) the database at `file`, with every migration applied. `:memory:` for a passing one, or the bytes
 * of one to begin with. What is acknowledged has reached the disk; what is append-only cannot be replaced either.
 */
export function openDatabase(file: string | Buffer, migrations = migrationsFolder()): Database {
  const isFile = typeof file === 'string' && file !== ':memory:'
  if (isFile) mkdirSync(dirname(file), { recursive: true, mode: OWN_FOLDER })
  const db = new BetterSqlite(file)
  if (isFile) chmodSync(file, OWN_FILE)
  allowSealing(db)
  db.pragma('journal_mode = WAL')
  db.pragma('synchronous = FULL')
  db.pragma('foreign_keys = ON')
  db.pragma('recursive_triggers = ON')
  db.pragma(`busy_timeout = ${BUSY_MS}`)
  db.pragma(`cache_size = -${CACHE_KB}`)
  migrate(db, migrations)
  return db
}

/** Another connection to the database at `file`, which is there and migrated: it reads, and changes nothing. */
export function openToRead(file: string): Database {
  const db = new BetterSqlite(file, { readonly: true })
  // What is prepared beside what it asks may write, and its functions are looked for.
  allowSealing(db)
  db.pragma(`busy_timeout = ${BUSY_MS}`)
  db.pragma(`cache_size = -${CACHE_KB}`)
  return db
}
