import type { Database } from 'better-sqlite3'
import type { WiringFields } from '#core/bay/model/wiring'

export interface StoredBay {
  readonly fields: WiringFields
  readonly checks: number
  readonly version: number
  readonly savedAt: string
}

interface Row {
  key: string
  fields: string
  checks: number
  version: number
  saved_at: string
}

const toBay = ({ fields, checks, version, saved_at }: Row): StoredBay => ({
  fields: JSON.parse(fields),
  checks,
  version,
  savedAt: saved_at,
})

export function createBaysRepo(db: Database) {
  const byKey = db.prepare<[number, string], Row>(
    'SELECT key, fields, checks, version, saved_at FROM bay WHERE person_id = ? AND key = ?',
  )
  const all = db.prepare<[number], Row>(
    'SELECT key, fields, checks, version, saved_at FROM bay WHERE person_id = ?',
  )
  const insert = db.prepare(
    'INSERT INTO bay (person_id, key, fields, saved_at) VALUES (?, ?, ?, ?) ON CONFLICT (person_id, key) DO NOTHING',
  )
  const update = db.prepare(
    'UPDATE bay SET fields = ?, saved_at = ?, version = version + 1 WHERE person_id = ? AND key = ? AND version = ?',
  )
  const checked = db.prepare('UPDATE bay SET checks = checks + 1 WHERE person_id = ? AND key = ?')

  return {
    of: (personId: number, key: string) => {
      const row = byKey.get(personId, key)
      return row && toBay(row)
    },
    all: (personId: number): ReadonlyMap<string, StoredBay> =>
      new Map(all.all(personId).map((row) => [row.key, toBay(row)])),
    /** False when another device saved in between. Version 0 is a bay that nobody has saved yet. */
    save: (personId: number, key: string, version: number, fields: WiringFields, now: string): boolean =>
      (version === 0
        ? insert.run(personId, key, JSON.stringify(fields), now)
        : update.run(JSON.stringify(fields), now, personId, key, version)
      ).changes === 1,
    countCheck: (personId: number, key: string) => void checked.run(personId, key),
  }
}
