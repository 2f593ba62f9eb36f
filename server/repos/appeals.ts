import type { Database } from 'better-sqlite3'

export interface StoredAppeal {
  readonly id: number
  readonly decisionId: number
  readonly attemptId: number
  readonly person: string
  readonly personId: number
  readonly cohort: string
  /** Whose decision it is about. */
  readonly decidedById: number
  readonly decidedBy: string
  readonly exerciseTitle: string
  readonly reason: string
  readonly at: string
  readonly outcome: 'upheld' | 'notUpheld' | null
  readonly answer: string | null
  readonly answeredBy: string | null
  readonly answeredAt: string | null
}

const APPEAL = `
  SELECT x.id, x.decision_id AS decisionId, d.attempt_id AS attemptId, w.name AS person, w.id AS personId, w.cohort,
         d.by_id AS decidedById, p.name AS decidedBy, json_extract(e.document, '$.title') AS exerciseTitle,
         x.reason, x.at, y.outcome, y.reason AS answer, q.name AS answeredBy, y.at AS answeredAt
  FROM appeal x JOIN decision d ON d.id = x.decision_id JOIN attempt a ON a.id = d.attempt_id
  JOIN exercise e ON e.id = a.exercise_id JOIN person w ON w.id = a.person_id JOIN person p ON p.id = d.by_id
  LEFT JOIN appeal_answer y ON y.appeal_id = x.id LEFT JOIN person q ON q.id = y.by_id`

/** Appeals: new entries that point to the old; nothing is overwritten. */
export function createAppealsRepo(db: Database) {
  const all = db.prepare<[], StoredAppeal>(`${APPEAL} ORDER BY x.id DESC`)
  const byId = db.prepare<[number], StoredAppeal>(`${APPEAL} WHERE x.id = ?`)
  const ofAttempt = db.prepare<[number], StoredAppeal>(`${APPEAL} WHERE d.attempt_id = ? ORDER BY x.id`)
  const add = db.prepare('INSERT INTO appeal (decision_id, by_id, reason, at) VALUES (?, ?, ?, ?)')
  const answer = db.prepare(
    'INSERT OR IGNORE INTO appeal_answer (appeal_id, by_id, outcome, reason, at) VALUES (?, ?, ?, ?, ?)',
  )
  return {
    all: () => all.all(),
    byId: (id: number) => byId.get(id),
    ofAttempt: (attemptId: number) => ofAttempt.all(attemptId),
    add: (decisionId: number, by: number, reason: string, at: string): number =>
      Number(add.run(decisionId, by, reason, at).lastInsertRowid),
    /** False when it has been answered. */
    answer: (
      id: number,
      by: number,
      given: { readonly outcome: 'upheld' | 'notUpheld'; readonly reason: string },
      at: string,
    ): boolean => answer.run(id, by, given.outcome, given.reason, at).changes === 1,
  }
}
