import type { Database } from 'better-sqlite3'
import type { Stage } from '#core/exercise/attempt/stages'
import type { Exercise } from '#core/exercise/exercise'
import { upgradeAnswers, upgradeExercise, upgradeTask } from '#core/exercise/upgrade'
import { isFormerKey, presentKeys } from '#core/testing/upgrade'
import type { Installation } from '#core/installation/installation'
import type { Answers } from '#core/assessment/marking/answer'
import type { Readings, ReadingTimes } from '#core/testing/readings'
import type { StageEvent } from '#schemas/marking-views'

export interface Attempt {
  readonly id: number
  readonly exerciseId: number
  readonly personId: number
  readonly personNumber: string
  readonly personName: string
  readonly cohort: string
  readonly variantIndex: number
  readonly bay: number
  readonly installation: Installation
  readonly stage: Stage
  readonly answers: Answers
  readonly readings: Readings
  /** When each reading came in, by test. */
  readonly readingTimes: ReadingTimes
  readonly version: number
  readonly savedAt: string | null
}

interface Row {
  id: number
  exercise_id: number
  person_id: number
  number: string
  name: string
  cohort: string
  variant_index: number
  bay: number
  task: string
  stage: Stage
  answers: string
  readings: string
  reading_times: string
  version: number
  saved_at: string | null
}

const SELECT = 'SELECT a.*, p.number, p.name, p.cohort FROM attempt a JOIN person p ON p.id = a.person_id'

const toAttempt = (row: Row, tests: TestsOf): Attempt => {
  const installation = upgradeTask(JSON.parse(row.task))
  const present = <T>(kept: Record<string, T>) =>
    Object.keys(kept).some(isFormerKey) ? presentKeys(kept, installation, tests(row.exercise_id)) : kept
  return {
    id: row.id,
    exerciseId: row.exercise_id,
    personId: row.person_id,
    personNumber: row.number,
    personName: row.name,
    cohort: row.cohort,
    variantIndex: row.variant_index,
    bay: row.bay,
    installation,
    stage: row.stage,
    answers: upgradeAnswers(JSON.parse(row.answers)),
    readings: present(JSON.parse(row.readings)),
    readingTimes: present(JSON.parse(row.reading_times)),
    version: row.version,
    savedAt: row.saved_at,
  }
}

/** The circuit that an exercise has tested; asked only of sheets from before one circuit was a schedule. */
type TestsOf = (exerciseId: number) => string | null

/** What somebody has typed, and when each reading came in. */
interface Work {
  readonly answers: Answers
  readonly readings: Readings
  readonly times: ReadingTimes
}

const statementsOf = (db: Database) => ({
  exercise: db.prepare<[number], { document: string }>('SELECT document FROM exercise WHERE id = ?'),
  byId: db.prepare<[number], Row>(`${SELECT} WHERE a.id = ?`),
  byIds: db.prepare<[string], Row>(`${SELECT} WHERE a.id IN (SELECT value FROM json_each(?))`),
  live: db.prepare<[], Row>(`${SELECT} WHERE a.stage = 'live' ORDER BY a.bay`),
  byPerson: db.prepare<[number], Row>(`${SELECT} WHERE a.person_id = ? ORDER BY a.id DESC`),
  byExercise: db.prepare<[number], Row>(`${SELECT} WHERE a.exercise_id = ? ORDER BY a.bay`),
  ofGroup: db.prepare<[number, string], Row>(
    `${SELECT} WHERE a.exercise_id = ? AND p.cohort = ? ORDER BY a.bay`,
  ),
  atWork: db.prepare<[{ cohort: string | null }], Row>(
    `${SELECT} WHERE a.stage IN ('design', 'dead', 'permission', 'live', 'handedIn')
       AND (@cohort IS NULL OR p.cohort = @cohort)
     ORDER BY a.exercise_id, a.bay`,
  ),
  insert: db.prepare(
    "INSERT INTO attempt (exercise_id, person_id, variant_index, bay, task, stage) VALUES (?, ?, ?, ?, ?, 'design')",
  ),
  saveWork: db.prepare(
    'UPDATE attempt SET answers = ?, readings = ?, reading_times = ?, ' +
      'saved_at = ?, begun_at = coalesce(begun_at, ?), version = version + 1 WHERE id = ? AND version = ?',
  ),
  setStage: db.prepare('UPDATE attempt SET stage = ?, version = version + 1 WHERE id = ?'),
  expire: db.prepare('UPDATE attempt SET stage = ? WHERE id = ?'),
  addEvent: db.prepare('INSERT INTO stage_event (attempt_id, act, by_id, at, note) VALUES (?, ?, ?, ?, ?)'),
  events: db.prepare<[number], StageEvent>(
    'SELECT s.act, p.name AS by, s.at, s.note FROM stage_event s JOIN person p ON p.id = s.by_id WHERE s.attempt_id = ? ORDER BY s.id',
  ),
})

export function createAttemptsRepo(db: Database) {
  const sql = statementsOf(db)
  const testsOf: TestsOf = (id) =>
    (upgradeExercise(JSON.parse(sql.exercise.get(id)!.document)) as Exercise).tests
  const read = (row: Row) => toAttempt(row, testsOf)

  return {
    byId: (id: number) => {
      const row = sql.byId.get(id)
      return row && read(row)
    },
    /** Of these, in any order, those that there are. */
    byIds: (ids: readonly number[]) => (ids.length === 0 ? [] : sql.byIds.all(JSON.stringify(ids)).map(read)),
    /** Those that are live now, by the index of stages: STOP waits for nothing else. */
    live: () => sql.live.all().map(read),
    byPerson: (personId: number) => sql.byPerson.all(personId).map(read),
    byExercise: (exerciseId: number) => sql.byExercise.all(exerciseId).map(read),
    /** Those of one group who have an exercise. */
    ofGroup: (exerciseId: number, cohort: string) => sql.ofGroup.all(exerciseId, cohort).map(read),
    /** What a group, or everybody, has not been decided on. */
    atWork: (cohort: string | null) => sql.atWork.all({ cohort }).map(read),
    insert: (
      exerciseId: number,
      personId: number,
      index: number,
      bay: number,
      installation: Installation,
    ): number =>
      Number(sql.insert.run(exerciseId, personId, index, bay, JSON.stringify(installation)).lastInsertRowid),
    /** False when another device saved in between. */
    saveWork: (id: number, version: number, { answers, readings, times }: Work, now: string): boolean => {
      const [a, r, t] = [answers, readings, times].map((part) => JSON.stringify(part))
      return sql.saveWork.run(a, r, t, now, now, id, version).changes === 1
    },
    setStage: (id: number, stage: Stage) => void sql.setStage.run(stage, id),
    /** Time alone has passed: what stands on other screens is still what is kept. */
    expire: (id: number, stage: Stage) => void sql.expire.run(stage, id),
    addEvent: (id: number, act: string, by: number, at: string, note: string) =>
      void sql.addEvent.run(id, act, by, at, note),
    events: (id: number) => sql.events.all(id),
  }
}
