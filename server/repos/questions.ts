import type { Database } from 'better-sqlite3'
import type { Question } from '#core/questions/question'
import type { AskedOutcome } from '#core/questions/outcome'
import type { Rating } from '#core/questions/judge'
import type { PersonOccasion } from './decisions'

/** A question of the centre. */
export interface StoredQuestion {
  readonly id: number
  readonly question: Question
  readonly version: number
  readonly isRetired: boolean
}

/** What was asked, as it is kept. */
export interface AskedRow {
  readonly id: number
  readonly token: string
  readonly personId: number
  readonly attemptId: number | null
  readonly code: string
  readonly topic: string
  readonly wording: string
  readonly outcome: AskedOutcome
  readonly prompt: string
  readonly remark: string
  readonly by: string
  /** ISO 8601 UTC. */
  readonly askedAt: string
  readonly isUndone: boolean
}

/** What an answer says about remembering: nothing of its wording or who asked. */
export interface AnswerRow {
  readonly personId: number
  readonly code: string
  readonly outcome: AskedOutcome
  /** ISO 8601 UTC. */
  readonly askedAt: string
}

export interface NewAsked extends Omit<AskedRow, 'id' | 'by' | 'isUndone'> {
  readonly byId: number
  readonly receivedAt: string
  readonly criteria: readonly { readonly code: string; readonly met: boolean }[]
}

interface RehearsedRow {
  readonly code: string
  readonly rating: Rating
  readonly at: string
}

const ASKED = `
  SELECT q.id, q.token, q.person_id AS personId, q.attempt_id AS attemptId, q.code, q.topic, q.wording, q.outcome, q.prompt, q.remark, p.name AS "by", q.asked_at AS askedAt, u.asked_id IS NOT NULL AS isUndone
  FROM question_asked q JOIN person p ON p.id = q.by_id LEFT JOIN question_undone u ON u.asked_id = q.id`
const ANSWERS = `
  SELECT q.person_id AS personId, q.code, q.outcome, q.asked_at AS askedAt FROM question_asked q
  WHERE NOT EXISTS (SELECT 1 FROM question_undone u WHERE u.asked_id = q.id)`
const OCCASIONS = `
  SELECT o.person_id AS personId, o.criterion, o.met, 'question ' || q.code AS exerciseCode, 'Question: ' || q.wording AS exerciseTitle, p.name AS decidedBy, q.asked_at AS decidedAt
  FROM question_occasion o JOIN question_asked q ON q.id = o.asked_id JOIN person p ON p.id = q.by_id
  WHERE NOT EXISTS (SELECT 1 FROM question_undone u WHERE u.asked_id = q.id)`

type StoredRow = { id: number; content: string; version: number; retired_at: string | null }
type RawAsked = Omit<AskedRow, 'isUndone'> & { isUndone: number }
type RawOccasion = Omit<PersonOccasion, 'met' | 'attemptId' | 'from' | 'shown'> & { met: number }
const toStored = ({ id, content, version, retired_at: retired }: StoredRow): StoredQuestion => ({
  id,
  question: JSON.parse(content),
  version,
  isRetired: retired !== null,
})
const toAsked = (row: RawAsked): AskedRow => ({ ...row, isUndone: row.isUndone === 1 })
const toOccasion = (row: RawOccasion): PersonOccasion => ({
  ...row,
  from: 'question',
  met: row.met === 1,
  attemptId: null,
})

const statementsOf = (db: Database) => ({
  all: db.prepare<[], StoredRow>('SELECT id, content, version, retired_at FROM question ORDER BY code'),
  byCode: db.prepare<[string], StoredRow>(
    'SELECT id, content, version, retired_at FROM question WHERE code = ?',
  ),
  insert: db.prepare('INSERT INTO question (code, content, changed_by, changed_at) VALUES (?, ?, ?, ?)'),
  save: db.prepare(
    'UPDATE question SET content = ?, changed_by = ?, changed_at = ?, ' +
      'retired_at = ?, version = version + 1 WHERE code = ? AND version = ?',
  ),
  answersOf: db.prepare<[number], AnswerRow>(`${ANSWERS} AND q.person_id = ? ORDER BY q.asked_at`),
  answersOfCohort: db.prepare<[string], AnswerRow>(
    `${ANSWERS} AND q.person_id IN (SELECT id FROM person WHERE cohort = ?) ORDER BY q.person_id, q.asked_at`,
  ),
  ofAttempt: db.prepare<[number], RawAsked>(`${ASKED} WHERE q.attempt_id = ? ORDER BY q.asked_at, q.id`),
  ofCohort: db.prepare<[string], RawAsked>(
    `${ASKED} WHERE q.person_id IN (SELECT id FROM person WHERE cohort = ?) ORDER BY q.asked_at, q.id`,
  ),
  counts: db.prepare<[string], { attempt: number; n: number }>(
    `SELECT q.attempt_id AS attempt, count(*) AS n FROM question_asked q
     WHERE q.attempt_id IN (SELECT value FROM json_each(?))
       AND NOT EXISTS (SELECT 1 FROM question_undone u WHERE u.asked_id = q.id) GROUP BY q.attempt_id`,
  ),
  since: db.prepare<[string, string], { personId: number; code: string }>(
    'SELECT person_id AS personId, code FROM question_asked WHERE asked_at > ? AND person_id IN (SELECT id FROM person WHERE cohort = ?)',
  ),
  byToken: db.prepare<[string], { id: number }>('SELECT id FROM question_asked WHERE token = ?'),
  add: db.prepare(
    'INSERT INTO question_asked (token, person_id, by_id, attempt_id, code, topic, wording, ' +
      'outcome, prompt, remark, asked_at, received_at) VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?)',
  ),
  occasion: db.prepare(
    'INSERT INTO question_occasion (asked_id, person_id, criterion, met) VALUES (?, ?, ?, ?)',
  ),
  undo: db.prepare('INSERT OR IGNORE INTO question_undone (asked_id, by_id, at) VALUES (?, ?, ?)'),
  occasionsOf: db.prepare<[number], RawOccasion>(`${OCCASIONS} AND o.person_id = ? ORDER BY q.asked_at`),
  occasionsOfCohort: db.prepare<[string], RawOccasion>(
    `${OCCASIONS} AND o.person_id IN (SELECT id FROM person WHERE cohort = ?) ORDER BY q.asked_at`,
  ),
  rehearsed: db.prepare<[number], RehearsedRow>(
    'SELECT code, rating, at FROM question_rehearsed WHERE person_id = ? ORDER BY at, id',
  ),
  rehearse: db.prepare('INSERT INTO question_rehearsed (person_id, code, rating, at) VALUES (?, ?, ?, ?)'),
})

export function createQuestionsRepo(db: Database) {
  const sql = statementsOf(db)
  return {
    all: (): StoredQuestion[] => sql.all.all().map(toStored),
    byCode: (code: string): StoredQuestion | undefined => {
      const row = sql.byCode.get(code)
      return row && toStored(row)
    },
    insert: (question: Question, by: number, at: string) =>
      void sql.insert.run(question.code, JSON.stringify(question), by, at),
    /** False when somebody else was quicker. */
    save: (question: Question, version: number, isRetired: boolean, by: number, at: string): boolean =>
      sql.save.run(JSON.stringify(question), by, at, isRetired ? at : null, question.code, version)
        .changes === 1,
    /** Answers that stand, oldest first. */
    answersOf: (personId: number) => sql.answersOf.all(personId),
    answersOfCohort: (cohort: string) => sql.answersOfCohort.all(cohort),
    askedOn: (attemptId: number): AskedRow[] => sql.ofAttempt.all(attemptId).map(toAsked),
    askedOfCohort: (cohort: string): AskedRow[] => sql.ofCohort.all(cohort).map(toAsked),
    /** How many were asked at each of these jobs, those taken back left out. */
    counts: (attempts: readonly number[]): ReadonlyMap<number, number> =>
      new Map(sql.counts.all(JSON.stringify(attempts)).map(({ attempt, n }) => [attempt, n])),
    /** Who of a group was asked what since then. */
    askedSince: (cohort: string, since: string) => sql.since.all(since, cohort),
    isKnown: (token: string): boolean => sql.byToken.get(token) !== undefined,
    add: (asked: NewAsked): void => {
      const { token, personId, byId, attemptId, code, topic, wording, outcome, prompt, remark } = asked
      const { askedAt, receivedAt } = asked
      const values = [token, personId, byId, attemptId, code, topic, wording, outcome, prompt, remark]
      const id = sql.add.run(...values, askedAt, receivedAt).lastInsertRowid
      for (const criterion of asked.criteria)
        sql.occasion.run(id, personId, criterion.code, criterion.met ? 1 : 0)
    },
    undo: (token: string, by: number, at: string): void => {
      const known = sql.byToken.get(token)
      if (known) sql.undo.run(known.id, by, at)
    },
    occasionsOf: (personId: number) => sql.occasionsOf.all(personId).map(toOccasion),
    occasionsOfCohort: (cohort: string) => sql.occasionsOfCohort.all(cohort).map(toOccasion),
    rehearsedBy: (personId: number): RehearsedRow[] => sql.rehearsed.all(personId),
    rehearse: (personId: number, code: string, rating: Rating, at: string) =>
      void sql.rehearse.run(personId, code, rating, at),
  }
}
