import type { Database } from 'better-sqlite3'
import type { SessionItem } from '#schemas/trust-views'
import type { Origin } from './audit'

export interface StoredSession {
  readonly id: number
  readonly personId: number
  readonly epoch: number
  readonly startedAt: string
  readonly seenAt: string
  readonly endedAt: string | null
  readonly provedAt: string
  readonly lockedAt: string | null
}

const COLUMNS =
  'id, person_id AS personId, epoch, started_at AS startedAt, seen_at AS seenAt, ended_at AS endedAt, proved_at AS provedAt, locked_at AS lockedAt'

/** Sessions of people; a cookie carries a token, here stands its hash. */
export function createSessionsRepo(db: Database) {
  const insert = db.prepare(
    'INSERT INTO session (token, person_id, epoch, started_at, seen_at, proved_at, device, address) VALUES (?, ?, ?, ?, ?, ?, ?, ?)',
  )
  const byToken = db.prepare<[string], StoredSession>(`SELECT ${COLUMNS} FROM session WHERE token = ?`)
  const byId = db.prepare<[number], StoredSession>(`SELECT ${COLUMNS} FROM session WHERE id = ?`)
  const see = db.prepare('UPDATE session SET seen_at = max(seen_at, ?) WHERE id = ?')
  const prove = db.prepare('UPDATE session SET proved_at = ?, locked_at = NULL WHERE id = ?')
  const lock = db.prepare('UPDATE session SET locked_at = ? WHERE id = ? AND locked_at IS NULL')
  const end = db.prepare('UPDATE session SET ended_at = ? WHERE id = ? AND ended_at IS NULL')
  const endAll = db.prepare('UPDATE session SET ended_at = ? WHERE person_id = ? AND ended_at IS NULL')
  // Ended, outlived and superseded ones are of no use to anybody; the audit keeps who came when.
  const forget = db.prepare('DELETE FROM session WHERE started_at < ?')
  const open = db.prepare<[string], SessionItem>(
    `SELECT s.id, p.number, p.name, p.role, s.started_at AS startedAt, s.seen_at AS seenAt, s.device, s.address
     FROM session s JOIN person p ON p.id = s.person_id
     WHERE s.ended_at IS NULL AND s.epoch = p.session_epoch AND s.started_at >= ?
     ORDER BY s.seen_at DESC`,
  )
  return {
    insert: (
      token: string,
      personId: number,
      epoch: number,
      now: string,
      { device, address }: Origin,
    ): number => Number(insert.run(token, personId, epoch, now, now, now, device, address).lastInsertRowid),
    byToken: (token: string) => byToken.get(token),
    byId: (id: number) => byId.get(id),
    see: (id: number, at: string) => void see.run(at, id),
    /** Proved again who sits there: what was locked is open. */
    prove: (id: number, at: string) => void prove.run(at, id),
    lock: (id: number, at: string): boolean => lock.run(at, id).changes > 0,
    end: (id: number, at: string): boolean => end.run(at, id).changes > 0,
    endAll: (personId: number, at: string): number => endAll.run(at, personId).changes,
    forgetBefore: (startedAt: string): number => forget.run(startedAt).changes,
    /** Those that began since, last seen first. */
    open: (since: string): SessionItem[] => open.all(since),
  }
}
