import type { Database } from 'better-sqlite3'
import { upgradeMarked, upgradeOverrides } from '#core/assessment/upgrade'
import type { Override } from '#core/assessment/marking/proposal'
import type { Occasion } from '#core/assessment/outcomes/coverage'
import type { EvidenceKind, OccasionFrom } from '#core/assessment/outcomes/kinds'
import type { Shown } from '#core/assessment/outcomes/shows'
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

/** One occasion as it is kept; what it shows follows from where it comes from. */
export interface PersonOccasion extends Omit<Occasion, 'kinds' | 'shown'> {
  readonly from: OccasionFrom
  readonly personId: number
  /** Of a task: null for one that was decided before this was kept. */
  readonly shown?: Shown | null
  /** Of a claim the kind that it was claimed as, of a survey the one that its site makes it. */
  readonly claimKind?: EvidenceKind
  /** The claim was talked over: a professional discussion beside what it rests on. */
  readonly wasDiscussed?: boolean
  /** Null for what was observed apart from a task. */
  readonly attemptId: number | null
}

// Only the latest decision on an attempt counts. Criteria and titles are read apart: a decision has ten of the first
// and shares the second with everybody.
const DECIDED = `
  SELECT d.id, a.person_id AS personId, a.id AS attemptId, a.exercise_id AS exerciseId, d.at AS decidedAt,
         CASE WHEN k.decision_id IS NULL THEN d.shown ELSE k.shown END AS shown, p.name AS decidedBy
  FROM attempt a JOIN decision d ON d.attempt_id = a.id JOIN person p ON p.id = d.by_id
  LEFT JOIN kept_mark k ON k.attempt_id = a.id AND k.decision_id = d.id
  WHERE d.id = (SELECT max(id) FROM decision WHERE attempt_id = a.id)`

interface DecidedRow extends Pick<PersonOccasion, 'personId' | 'decidedBy' | 'decidedAt'> {
  readonly id: number
  readonly attemptId: number
  readonly exerciseId: number
  readonly shown: string | null
}
interface CriterionRow {
  readonly decisionId: number
  readonly criterion: string
  readonly met: number
}
interface ExerciseHead {
  readonly id: number
  readonly code: string
  readonly title: string
}

/** Decisions with their criteria and the heads of their exercises, as occasions in the order of the criteria. */
function joined(
  decided: readonly DecidedRow[],
  criteria: readonly CriterionRow[],
  heads: readonly ExerciseHead[],
): PersonOccasion[] {
  const exercise = new Map(heads.map((head) => [head.id, head]))
  const byId = new Map(
    decided.map(({ id, exerciseId, shown, ...row }) => {
      const { code, title } = exercise.get(exerciseId)!
      const parsed = shown === null ? null : (JSON.parse(shown) as Shown)
      return [id, { ...row, from: 'task' as const, exerciseCode: code, exerciseTitle: title, shown: parsed }]
    }),
  )
  return criteria.flatMap(({ decisionId, criterion, met }) => {
    const decision = byId.get(decisionId)
    return decision ? [{ ...decision, criterion, met: met === 1 }] : []
  })
}

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
    'INSERT INTO decision (attempt_id, by_id, at, met, mark, out_of, ' +
      'feedback, evidence, shown) VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?)',
  ),
  insertOccasion: db.prepare(
    'INSERT INTO occasion (decision_id, person_id, criterion, met) VALUES (?, ?, ?, ?)',
  ),
  latest: db.prepare<[number], DecisionRow>(
    'SELECT d.*, p.name AS by FROM decision d JOIN person p ON p.id = d.by_id WHERE d.attempt_id = ? ORDER BY d.id DESC LIMIT 1',
  ),
  latestOf: db.prepare<[string], DecisionRow & { attemptId: number }>(
    `SELECT d.*, d.attempt_id AS attemptId, p.name AS "by" FROM decision d JOIN person p ON p.id = d.by_id
     WHERE d.id IN (SELECT max(id) FROM decision WHERE attempt_id IN (SELECT value FROM json_each(?)) GROUP BY attempt_id)`,
  ),
})

const occasionStatements = (db: Database) => ({
  released: db.prepare<[number], DecidedRow>(
    // By the person: nearly every attempt of a centre is released.
    `${DECIDED} AND a.person_id = ? AND +a.stage = 'released' ORDER BY d.id`,
  ),
  ofPerson: db.prepare<[number], DecidedRow>(`${DECIDED} AND a.person_id = ? ORDER BY d.id`),
  byCohort: db.prepare<[string], DecidedRow>(
    `${DECIDED} AND a.person_id IN (SELECT id FROM person WHERE cohort = ?) ORDER BY d.id`,
  ),
  criteriaOf: db.prepare<[number], CriterionRow>(
    'SELECT decision_id AS decisionId, criterion, met FROM occasion WHERE person_id = ? ORDER BY decision_id, id',
  ),
  criteriaOfCohort: db.prepare<[string], CriterionRow>(
    `SELECT decision_id AS decisionId, criterion, met FROM occasion
     WHERE person_id IN (SELECT id FROM person WHERE cohort = ?) ORDER BY decision_id, id`,
  ),
  heads: db.prepare<[], ExerciseHead>(
    "SELECT id, code, json_extract(document, '$.title') AS title FROM exercise",
  ),
})

/** Occasions that follow from decisions on tasks. */
function occasionsOf(db: Database) {
  const sql = occasionStatements(db)
  return {
    /** What the person may see: occasions of released decisions. */
    releasedOccasions: (personId: number) =>
      joined(sql.released.all(personId), sql.criteriaOf.all(personId), sql.heads.all()),
    occasionsOf: (personId: number) =>
      joined(sql.ofPerson.all(personId), sql.criteriaOf.all(personId), sql.heads.all()),
    cohortOccasions: (cohort: string) =>
      joined(sql.byCohort.all(cohort), sql.criteriaOfCohort.all(cohort), sql.heads.all()),
  }
}

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
        evidence.shown ? JSON.stringify(evidence.shown) : null,
      ).lastInsertRowid
      for (const criterion of proposal.criteria)
        sql.insertOccasion.run(id, personId, criterion.code, criterion.met ? 1 : 0)
    },
    latest: (attemptId: number) => {
      const row = sql.latest.get(attemptId)
      return row && toDecision(row)
    },
    ...occasionsOf(db),
    /** The latest of each of these attempts. */
    latestOf: (attempts: readonly number[]): ReadonlyMap<number, Decision> =>
      new Map(
        sql.latestOf.all(JSON.stringify(attempts)).map((row) => [row.attemptId, toDecision(row)] as const),
      ),
  }
}
