import type { Database } from 'better-sqlite3'
import type { ReadingChange } from '#schemas/schedule-views'

export interface NewReadingChange {
  readonly key: string
  readonly before: string
  readonly after: string
  readonly claimedAt: string
  readonly via: ReadingChange['via']
}

/** Every change of every reading. Written, never changed. */
export function createReadingChangesRepo(db: Database) {
  const insert = db.prepare(
    'INSERT INTO reading_change (attempt_id, key, before, after, by_id, at, claimed_at, ' +
      'via) VALUES (?, ?, ?, ?, ?, ?, ?, ?)',
  )
  const ofAttempt = db.prepare<[number], ReadingChange>(
    `SELECT c.key, c.before, c.after, p.name AS by, c.at, c.claimed_at AS claimedAt, c.via
     FROM reading_change c LEFT JOIN person p ON p.id = c.by_id WHERE c.attempt_id = ? ORDER BY c.id`,
  )
  return {
    add: (attemptId: number, by: number | null, at: string, change: NewReadingChange) =>
      void insert.run(
        attemptId,
        change.key,
        change.before,
        change.after,
        by,
        at,
        change.claimedAt,
        change.via,
      ),
    ofAttempt: (attemptId: number) => ofAttempt.all(attemptId),
  }
}
