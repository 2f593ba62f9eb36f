import type { Database } from 'better-sqlite3'
import { upgradeMarked, upgradeOverrides } from '#core/assessment/upgrade'
import type { Override } from '#core/assessment/marking/proposal'
import type { Occasion } from '#core/assessment/outcomes/coverage'
import type { Decision, DecisionEvidence, MarkingDraft } from '#schemas/marking-views'

interface DecisionRow {
  id: number
  by: string
  at: string
  met: number
  mark: number
  out_of: number
  feedback: string
  evidence: string
}

const toDecision = (row: DecisionRow): Decision => ({
  id: row.id,
  by: row.by,
  at: row.at,
  met: row.met === 1,
  mark: row.mark,
  outOf: row.out_of,
  feedback: row.feedback,
  evidence: toEvidence(JSON.parse(row.evidence)),
})

const toEvidence = (evidence: DecisionEvidence): DecisionEvidence => ({
  ...evidence,
  marked: upgradeMarked(evidence.marked),
  overrides: upgradeOverrides(evidence.overrides),
})

export interface PersonOccasion extends Occasion {
  readonly personId: number
  /** Null for what was observed apart from a task. */
  readonly attemptId: number | null
}

// Only the latest decision on an attempt counts.
const OCCASIONS = `
  SELECT o.person_id AS personId, o.criterion, o.met, json_extract(e.document, '$.code') AS exerciseCode,
         json_extract(e.document, '$.title') AS exerciseTitle, by_person.name AS decidedBy, d.at AS decidedAt, a.id AS attemptId
  FROM occasion o
  JOIN decision d ON d.id = o.decision_id
  JOIN attempt a ON a.id = d.attempt_id
  JOIN exercise e ON e.id = a.exercise_id
  JOIN person by_person ON by_person.id = d.by_id
  WHERE d.id = (SELECT max(id) FROM decision WHERE attempt_id = a.id)`

type OccasionRow = Omit<PersonOccasion, 'met'> & { met: number }
const toOccasion = (row: OccasionRow): PersonOccasion => ({ ...row, met: row.met === 1 })

interface NewDecision {
  readonly attemptId: number
  readonly personId: number
  readonly by: number
  readonly at: string
  readonly feedback: string
  readonly evidence: DecisionEvidence
}

const statementsOf = (db: Database) => ({
  draft: db.prepare<[number], { overrides: string; feedback: string | null; version: number }>(
    'SELECT overrides, feedback, version FROM marking_draft WHERE attempt_id = ?',
  ),
  insertDraft: db.prepare(
    'INSERT OR IGNORE INTO marking_draft (attempt_id, overrides, feedback, version) VALUES (?, ?, ?, 1)',
  ),
  updateDraft: db.prepare(
    'UPDATE marking_draft SET overrides = ?, feedback = ?, version = version + 1 WHERE attempt_id = ? AND version = ?',
  ),
  insert: db.prepare(
    'INSERT INTO decision (attempt_id, by_id, at, met, mark, out_of, feedback, evidence) VALUES (?, ?, ?, ?, ?, ?, ?, ?)',
  ),
  insertOccasion: db.prepare(
    'INSERT INTO occasion (decision_id, person_id, criterion, met) VALUES (?, ?, ?, ?)',
  ),
  latest: db.prepare<[number], DecisionRow>(
    'SELECT d.*, p.name AS by FROM decision d JOIN person p ON p.id = d.by_id WHERE d.attempt_id = ? ORDER BY d.id DESC LIMIT 1',
  ),
  released: db.prepare<[number], OccasionRow>(
    `${OCCASIONS} AND o.person_id = ? AND a.stage = 'released' ORDER BY d.id`,
  ),
  byCohort: db.prepare<[string], OccasionRow>(
    `${OCCASIONS} AND o.person_id IN (SELECT id FROM person WHERE cohort = ?) ORDER BY d.id`,
  ),
})

export function createDecisionsRepo(db: Database) {
  const sql = statementsOf(db)

  return {
    draft: (attemptId: number): MarkingDraft => {
      const row = sql.draft.get(attemptId)
      return row
        ? { ...row, overrides: upgradeOverrides(JSON.parse(row.overrides)) }
        : { overrides: [], feedback: null, version: 0 }
    },
    /** False when somebody else saved in between. */
    saveDraft: (
      attemptId: number,
      version: number,
      overrides: readonly Override[],
      feedback: string | null,
    ): boolean => {
      const text = JSON.stringify(overrides)
      const result =
        version === 0
          ? sql.insertDraft.run(attemptId, text, feedback)
          : sql.updateDraft.run(text, feedback, attemptId, version)
      return result.changes === 1
    },
    insert: ({ attemptId, personId, by, at, feedback, evidence }: NewDecision): void => {
      const { proposal } = evidence
      const id = sql.insert.run(
        attemptId,
        by,
        at,
        proposal.met ? 1 : 0,
        proposal.mark,
        proposal.outOf,
        feedback,
        JSON.stringify(evidence),
      ).lastInsertRowid
      for (const criterion of proposal.criteria)
        sql.insertOccasion.run(id, personId, criterion.code, criterion.met ? 1 : 0)
    },
    latest: (attemptId: number) => {
      const row = sql.latest.get(attemptId)
      return row && toDecision(row)
    },
    /** What the person may see: occasions of released decisions. */
    releasedOccasions: (personId: number) => sql.released.all(personId).map(toOccasion),
    cohortOccasions: (cohort: string) => sql.byCohort.all(cohort).map(toOccasion),
  }
}
