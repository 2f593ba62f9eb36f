import type { Database } from 'better-sqlite3'
import type { CallKind } from '#core/floor/needs'

export type CallAnswer = 'seen' | 'notYet' | 'withdrawn'

/** Somebody at a bay asks an assessor over. */
export interface StoredCall {
  readonly id: number
  readonly attemptId: number
  readonly personId: number
  readonly name: string
  readonly cohort: string
  readonly bay: number
  readonly kind: CallKind
  readonly at: string
  readonly answer: CallAnswer | null
  readonly note: string
  readonly answeredAt: string | null
  readonly answeredBy: string | null
}

const CALL = `
  SELECT c.id, c.attempt_id AS attemptId, a.person_id AS personId, p.name, p.cohort, a.bay, c.kind, c.at, c.answer, c.note,
    c.answered_at AS answeredAt, q.name AS answeredBy
  FROM bay_call c JOIN attempt a ON a.id = c.attempt_id JOIN person p ON p.id = a.person_id
  LEFT JOIN person q ON q.id = c.answered_by`
/** So many of a sheet are shown. */
const MOST = 10

/** Calls from the bays, open and answered. */
export function createCallsRepo(db: Database) {
  const open = db.prepare<[], StoredCall>(`${CALL} WHERE c.answer IS NULL ORDER BY c.at`)
  const byId = db.prepare<[number], StoredCall>(`${CALL} WHERE c.id = ?`)
  const ofAttempt = db.prepare<[number, number], StoredCall>(
    `${CALL} WHERE c.attempt_id = ? ORDER BY c.id DESC LIMIT ?`,
  )
  const add = db.prepare('INSERT OR IGNORE INTO bay_call (attempt_id, kind, at) VALUES (?, ?, ?)')
  const answer = db.prepare(
    'UPDATE bay_call SET answer = ?, note = ?, answered_at = ?, answered_by = ? WHERE id = ? AND answer IS NULL',
  )
  return {
    /** Unanswered, the longest waiting first. */
    open: () => open.all(),
    byId: (id: number) => byId.get(id),
    /** Of one sheet, newest first. */
    ofAttempt: (attemptId: number) => ofAttempt.all(attemptId, MOST),
    /** Asks once: the same again before an answer changes nothing. */
    add: (attemptId: number, kind: CallKind, at: string): void => void add.run(attemptId, kind, at),
    /** False when it has been answered. */
    answer: (id: number, given: CallAnswer, note: string, by: number, at: string): boolean =>
      answer.run(given, note, at, by, id).changes === 1,
  }
}
