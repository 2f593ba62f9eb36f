import { readdirSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import type { Database } from 'better-sqlite3'

const FILE_NAME = /^\d{4}_[a-z0-9_]+\.sql$/

/**
 * Brings a database up to the newest migration. Refuses to go on when its history is not the beginning of the
 * files'.
 */
export function migrate(db: Database, folder: string): void {
  db.exec('CREATE TABLE IF NOT EXISTS migration (name TEXT PRIMARY KEY, applied_at TEXT NOT NULL) STRICT')
  const files = readdirSync(folder)
    .filter((name) => FILE_NAME.test(name))
    .sort()
  const applied = db
    .prepare<[], { name: string }>('SELECT name FROM migration ORDER BY name')
    .all()
    .map((row) => row.name)
  applied.forEach((name, i) => {
    if (files[i] !== name)
      throw new Error(
        `The database has migration ${name}, the program expects ${files[i] ?? 'none'} in its place. Start the version that belongs to this database.`,
      )
  })
  const record = db.prepare('INSERT INTO migration (name, applied_at) VALUES (?, ?)')
  for (const name of files.slice(applied.length)) {
    db.transaction(() => {
      db.exec(readFileSync(join(folder, name), 'utf8'))
      record.run(name, new Date().toISOString())
    }).immediate()
  }
}
