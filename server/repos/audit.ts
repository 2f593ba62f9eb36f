import type { Database } from 'better-sqlite3'

/** Who did what to whom, when. Written, never changed. */
export function createAuditRepo(db: Database) {
  const add = db.prepare('INSERT INTO audit (at, by_id, action, subject) VALUES (?, ?, ?, ?)')
  return {
    add: (at: string, by: number | null, action: string, subject: string) =>
      void add.run(at, by, action, subject),
  }
}
