import { shownByRun } from '#core/assessment/outcomes/shows'
import type { ContainmentRun } from '#core/containment/containment-run'
import type { Database } from 'better-sqlite3'
import type { RunFields } from '#core/containment/form'
import type { MeasureCloseBody, MeasurementView, RunDecision } from '#schemas/workmanship-views'
import type { PersonOccasion } from './decisions'

export interface StoredRun {
  readonly id: number
  readonly madeBy: number
  readonly maker: string
  readonly fields: RunFields
  readonly version: number
  readonly savedAt: string
}

/** What is seen of it, before anybody's rights are known, and whose work was measured. */
export interface StoredMeasurement extends Omit<MeasurementView, 'mayChange' | 'criteria' | 'decision'> {
  readonly personId: number
}

type RunRow = Omit<StoredRun, 'fields'> & { fields: string }
type MeasurementRow = Omit<StoredMeasurement, 'fields' | 'runFields'> & { fields: string; runFields: string }

const RUN =
  'SELECT r.id, r.made_by AS madeBy, p.name AS maker, r.fields, r.version, r.saved_at AS savedAt FROM containment_run r JOIN person p ON p.id = r.made_by'
const MEASURE =
  'SELECT m.id, m.run_id AS runId, m.person_id AS personId, p.name AS person, a.name AS assessor, m.run_fields AS runFields, m.fields, m.version, m.saved_at AS savedAt, m.closed_at AS closedAt FROM run_measurement m JOIN person p ON p.id = m.person_id JOIN person a ON a.id = m.assessor_id'
const OCCASIONS = `
  SELECT o.person_id AS personId, o.criterion, o.met, 'run ' || m.run_id AS exerciseCode, coalesce(json_extract(m.run_fields, '$.name'), 'Run') AS exerciseTitle, p.name AS decidedBy, d.at AS decidedAt, json_extract(m.run_fields, '$.made') AS made
  FROM run_occasion o JOIN run_decision d ON d.measurement_id = o.measurement_id JOIN run_measurement m ON m.id = d.measurement_id JOIN person p ON p.id = d.by_id`
type OccasionRow = Omit<PersonOccasion, 'met' | 'attemptId' | 'from' | 'shown'> & {
  met: number
  made: ContainmentRun['made'] | null
}
const toOccasion = ({ made, ...row }: OccasionRow): PersonOccasion => ({
  ...row,
  from: 'run',
  met: row.met === 1,
  attemptId: null,
  shown: shownByRun({ made: made ?? 'conduit' }),
})
const toRun = (row: RunRow): StoredRun => ({ ...row, fields: JSON.parse(row.fields) })
const toMeasurement = (row: MeasurementRow): StoredMeasurement => ({
  ...row,
  fields: JSON.parse(row.fields),
  runFields: JSON.parse(row.runFields),
})

interface NewRunDecision extends Pick<MeasureCloseBody, 'parts' | 'reason'> {
  readonly personId: number
  readonly by: number
  readonly at: string
  readonly criteria: readonly { readonly code: string; readonly met: boolean }[]
}

const statementsOf = (db: Database) => ({
  all: db.prepare<[], RunRow>(`${RUN} ORDER BY r.id DESC LIMIT 300`),
  byId: db.prepare<[number], RunRow>(`${RUN} WHERE r.id = ?`),
  insert: db.prepare('INSERT INTO containment_run (made_by, fields, saved_at) VALUES (?, ?, ?)'),
  save: db.prepare(
    'UPDATE containment_run SET fields = ?, saved_at = ?, version = version + 1 WHERE id = ? AND version = ?',
  ),
  ofRun: db.prepare<[number], MeasurementRow>(`${MEASURE} WHERE m.run_id = ? ORDER BY m.id DESC`),
  measurement: db.prepare<[number], MeasurementRow>(`${MEASURE} WHERE m.id = ?`),
  insertMeasurement: db.prepare(
    'INSERT INTO run_measurement (run_id, person_id, assessor_id, run_fields) VALUES (?, ?, ?, ?)',
  ),
  saveMeasurement: db.prepare(
    'UPDATE run_measurement SET fields = ?, saved_at = ?, version = ' +
      'version + 1 WHERE id = ? AND version = ? AND closed_at IS NULL',
  ),
  close: db.prepare(
    'UPDATE run_measurement SET closed_at = ?, version = version + 1 WHERE id = ? AND closed_at IS NULL',
  ),
  decide: db.prepare(
    'INSERT INTO run_decision (measurement_id, by_id, at, parts, reason) VALUES (?, ?, ?, ?, ?)',
  ),
  occasion: db.prepare(
    'INSERT INTO run_occasion (measurement_id, person_id, criterion, met) VALUES (?, ?, ?, ?)',
  ),
  decision: db.prepare<[number], { by: string; at: string; parts: string; reason: string }>(
    'SELECT p.name AS by, d.at, d.parts, d.reason FROM run_decision d JOIN person p ON p.id = d.by_id WHERE d.measurement_id = ?',
  ),
  ofOne: db.prepare<[number], OccasionRow>(`${OCCASIONS} WHERE o.person_id = ? ORDER BY o.id`),
  ofCohort: db.prepare<[string], OccasionRow>(
    `${OCCASIONS} WHERE o.person_id IN (SELECT id FROM person WHERE cohort = ?) ORDER BY o.id`,
  ),
})

/** Containment runs, and what was measured on them. */
export function createRunsRepo(db: Database) {
  const sql = statementsOf(db)
  const mapped = <R, T>(row: R | undefined, to: (row: R) => T): T | undefined =>
    row === undefined ? undefined : to(row)
  return {
    all: () => sql.all.all().map(toRun),
    byId: (id: number) => mapped(sql.byId.get(id), toRun),
    insert: (madeBy: number, fields: RunFields, now: string): number =>
      Number(sql.insert.run(madeBy, JSON.stringify(fields), now).lastInsertRowid),
    save: (id: number, version: number, fields: RunFields, now: string): boolean =>
      sql.save.run(JSON.stringify(fields), now, id, version).changes === 1,
    measurementsOf: (runId: number) => sql.ofRun.all(runId).map(toMeasurement),
    measurement: (id: number) => mapped(sql.measurement.get(id), toMeasurement),
    measure: (runId: number, personId: number, assessorId: number, runFields: RunFields): number =>
      Number(
        sql.insertMeasurement.run(runId, personId, assessorId, JSON.stringify(runFields)).lastInsertRowid,
      ),
    saveMeasurement: (
      id: number,
      version: number,
      fields: Readonly<Record<string, string>>,
      now: string,
    ): boolean => sql.saveMeasurement.run(JSON.stringify(fields), now, id, version).changes === 1,
    /** False when it has been closed before. */
    close: (id: number, { personId, by, at: now, parts, reason, criteria }: NewRunDecision): boolean => {
      if (sql.close.run(now, id).changes !== 1) return false
      sql.decide.run(id, by, now, JSON.stringify(parts), reason)
      for (const { code, met } of criteria) sql.occasion.run(id, personId, code, met ? 1 : 0)
      return true
    },
    decision: (id: number): RunDecision | undefined =>
      mapped(sql.decision.get(id), (row) => ({ ...row, parts: JSON.parse(row.parts) })),
    occasionsOf: (personId: number) => sql.ofOne.all(personId).map(toOccasion),
    occasionsOfCohort: (cohort: string) => sql.ofCohort.all(cohort).map(toOccasion),
  }
}
