import type { Database } from 'better-sqlite3'
import { upgradeIsolationPolicy, type IsolationPolicy } from '#core/policies/isolation'
import type { ObservationFields } from '#core/isolation/observation'
import type { ObservationDecision, RepeatView } from '#schemas/isolation-views'
import type { PersonOccasion } from './decisions'

export interface StoredObservation {
  readonly id: number
  readonly apprenticeId: number
  readonly apprentice: string
  readonly assessorId: number
  readonly assessor: string
  readonly policy: IsolationPolicy
  readonly fields: ObservationFields
  readonly version: number
  readonly state: 'running' | 'decided'
  readonly startedAt: string
  readonly savedAt: string
}

type Row = Omit<StoredObservation, 'policy' | 'fields'> & { policy: string; fields: string }
const toObservation = (row: Row): StoredObservation => ({
  ...row,
  policy: upgradeIsolationPolicy(JSON.parse(row.policy)),
  fields: JSON.parse(row.fields),
})

const OBSERVATION = `
  SELECT o.id, o.apprentice_id AS apprenticeId, a.name AS apprentice, o.assessor_id AS assessorId, s.name AS assessor, o.policy, o.fields, o.version, o.state, o.started_at AS startedAt, o.saved_at AS savedAt
  FROM observation o JOIN person a ON a.id = o.apprentice_id JOIN person s ON s.id = o.assessor_id`

const OCCASIONS = `
  SELECT c.person_id AS personId, c.criterion, c.met, 'isolation ' || o.id AS exerciseCode, 'Safe isolation, bay ' || coalesce(json_extract(o.fields, '$."head.bay"'), '?') AS exerciseTitle, p.name AS decidedBy, d.at AS decidedAt
  FROM observation_occasion c JOIN observation_decision d ON d.id = c.decision_id JOIN observation o ON o.id = d.observation_id JOIN person p ON p.id = d.by_id`
type OccasionRow = Omit<PersonOccasion, 'met' | 'attemptId' | 'from' | 'shown'> & { met: number }
const toOccasion = (row: OccasionRow): PersonOccasion => ({
  ...row,
  from: 'observation',
  met: row.met === 1,
  attemptId: null,
})

type NewObservation = Pick<StoredObservation, 'apprenticeId' | 'assessorId' | 'policy' | 'fields'>

interface NewDecision extends Pick<ObservationDecision, 'met' | 'feedback' | 'evidence' | 'criteria'> {
  readonly by: number
  readonly at: string
}

const statementsOf = (db: Database) => ({
  byId: db.prepare<[number], Row>(`${OBSERVATION} WHERE o.id = ?`),
  lastOf: db.prepare<[number, number], Row>(
    `${OBSERVATION} WHERE o.apprentice_id = ? AND o.state = 'decided' ORDER BY o.id DESC LIMIT ?`,
  ),
  recent: db.prepare<[], Row>(`${OBSERVATION} ORDER BY o.id DESC LIMIT 100`),
  insert: db.prepare(
    'INSERT INTO observation (apprentice_id, assessor_id, policy, ' +
      'fields, started_at, saved_at) VALUES (?, ?, ?, ?, ?, ?)',
  ),
  save: db.prepare(
    "UPDATE observation SET fields = ?, saved_at = ?, version = version + 1 WHERE id = ? AND version = ? AND state = 'running'",
  ),
  close: db.prepare(
    "UPDATE observation SET state = 'decided', version = version + 1 WHERE id = ? AND state = 'running'",
  ),
  decide: db.prepare(
    'INSERT INTO observation_decision (observation_id, by_id, at, met, feedback, evidence) VALUES (?, ?, ?, ?, ?, ?)',
  ),
  occasion: db.prepare(
    'INSERT INTO observation_occasion (decision_id, person_id, criterion, met) VALUES (?, ?, ?, ?)',
  ),
  decision: db.prepare<[number], { by: string; at: string; met: number; feedback: string; evidence: string }>(
    'SELECT p.name AS by, d.at, d.met, d.feedback, d.evidence FROM observation_decision d JOIN person p ON p.id = d.by_id WHERE d.observation_id = ?',
  ),
  ofPerson: db.prepare<[number], OccasionRow>(`${OCCASIONS} WHERE c.person_id = ? ORDER BY c.id`),
  ofCohort: db.prepare<[string], OccasionRow>(
    `${OCCASIONS} WHERE c.person_id IN (SELECT id FROM person WHERE cohort = ?) ORDER BY c.id`,
  ),
  book: db.prepare(
    'INSERT INTO repeat_booking (person_id, observation_id, reason, ' +
      'planned_for, bay, made_by, made_at) VALUES (?, ?, ?, ?, ?, ?, ?)',
  ),
  repeats: db.prepare<[], RepeatView>(
    'SELECT r.id, r.person_id AS personId, p.name, r.reason, r.planned_for AS plannedFor, r.bay FROM repeat_booking r JOIN person p ON p.id = r.person_id WHERE r.settled_by IS NULL ORDER BY r.planned_for, r.id',
  ),
  settle: db.prepare(
    'UPDATE repeat_booking SET settled_by = ? WHERE person_id = ? AND settled_by IS NULL AND observation_id <> ?',
  ),
})

/** A repeat that was agreed on, with its reason, day and bay. */
interface NewRepeat {
  readonly personId: number
  readonly observationId: number
  readonly reason: string
  readonly plannedFor: string
  readonly bay: number
  readonly by: number
  readonly at: string
}

export function createObservationsRepo(db: Database) {
  const sql = statementsOf(db)

  return {
    byId: (id: number) => {
      const row = sql.byId.get(id)
      return row && toObservation(row)
    },
    /** The decided ones of one person, the newest first. */
    lastOf: (personId: number, most: number) => sql.lastOf.all(personId, most).map(toObservation),
    recent: () => sql.recent.all().map(toObservation),
    insert: ({ apprenticeId, assessorId, policy, fields }: NewObservation, now: string): number => {
      const [rules, typed] = [policy, fields].map((part) => JSON.stringify(part))
      return Number(sql.insert.run(apprenticeId, assessorId, rules, typed, now, now).lastInsertRowid)
    },
    /** False when another device saved in between, or it is decided. */
    save: (id: number, version: number, fields: ObservationFields, now: string): boolean =>
      sql.save.run(JSON.stringify(fields), now, id, version).changes === 1,
    decide: (id: number, apprenticeId: number, { by, at, ...made }: NewDecision): void => {
      const evidence = JSON.stringify({ ...made.evidence, criteria: made.criteria })
      const met = made.met ? 1 : 0
      const decisionId = sql.decide.run(id, by, at, met, made.feedback, evidence).lastInsertRowid
      for (const criterion of made.criteria)
        sql.occasion.run(decisionId, apprenticeId, criterion.code, criterion.met ? 1 : 0)
      sql.close.run(id)
    },
    decision: (id: number): ObservationDecision | undefined => {
      const row = sql.decision.get(id)
      if (!row) return undefined
      const { criteria, ...evidence } = JSON.parse(row.evidence)
      return { by: row.by, at: row.at, met: row.met === 1, feedback: row.feedback, criteria, evidence }
    },
    occasionsOf: (personId: number) => sql.ofPerson.all(personId).map(toOccasion),
    occasionsOfCohort: (cohort: string) => sql.ofCohort.all(cohort).map(toOccasion),
    bookRepeat: (repeat: NewRepeat) => {
      const { personId, observationId, reason, plannedFor, bay, by, at } = repeat
      sql.book.run(personId, observationId, reason, plannedFor, bay, by, at)
    },
    openRepeats: () => sql.repeats.all(),
    settleRepeats: (personId: number, observationId: number) =>
      void sql.settle.run(observationId, personId, observationId),
  }
}
