import type { Database } from 'better-sqlite3'
import { upgradeTask } from '#core/exercise/upgrade'
import type { Stage } from '#core/exercise/attempt/stages'
import type { StageEvent } from '#schemas/marking-views'

/** Where somebody is with a task, without their work. */
export interface FloorRow {
  readonly id: number
  readonly exerciseId: number
  readonly personId: number
  readonly personName: string
  readonly personNumber: string
  readonly cohort: string
  readonly bay: number
  readonly stage: Stage
  readonly version: number
  /** Version of its inspection; 0 where nobody has begun. */
  readonly inspection: number
  readonly savedAt: string | null
  readonly lastAct: Omit<StageEvent, 'note'> | null
}
type RawFloor = Omit<FloorRow, 'lastAct'> & { act: string | null; by: string; at: string; note: string }

/** A sheet of the pile, with what is known of its marks. */
export interface PileRow {
  readonly id: number
  readonly exerciseId: number
  readonly name: string
  readonly cohort: string
  readonly bay: number
  readonly stage: Stage
  readonly version: number
  readonly handedInAt: string | null
  /** Of the inspection and the draft of marks, 0 where there is none. */
  readonly inspection: number
  readonly draft: number
  /** The latest decision; null before one. */
  readonly decisionId: number | null
  readonly kept: {
    readonly version: string
    readonly decisionId: number | null
    readonly mark: number
    readonly outOf: number
    readonly critical: number
    readonly met: boolean
  } | null
}
type RawPile = Omit<PileRow, 'kept'> & {
  keptVersion: string | null
  keptDecision: number | null
  mark: number
  outOf: number
  critical: number
  met: number
}

const IN_HAND = "('design', 'dead', 'permission', 'live')"
const FLOOR = `
  SELECT a.id, a.exercise_id AS exerciseId, a.person_id AS personId, p.name AS personName, p.number AS personNumber, p.cohort, a.bay, a.stage,
    a.version, coalesce(i.version, 0) AS inspection, a.saved_at AS savedAt, e.act, q.name AS "by", e.at
  FROM attempt a JOIN person p ON p.id = a.person_id LEFT JOIN inspection i ON i.attempt_id = a.id
  LEFT JOIN stage_event e ON e.id = (SELECT max(id) FROM stage_event WHERE attempt_id = a.id)
  LEFT JOIN person q ON q.id = e.by_id`

const statementsOf = (db: Database) => ({
  // What has been given back lately is still seen on the floor; the rest of five years is not read.
  floor: db.prepare<[], RawFloor>(`
    ${FLOOR} WHERE a.id IN (
      SELECT id FROM attempt WHERE stage IN ('design', 'dead', 'permission', 'live', 'handedIn', 'decided')
      UNION SELECT attempt_id FROM stage_event NOT INDEXED
        WHERE id > (SELECT coalesce(max(id), 0) - 3000 FROM stage_event) AND act = 'release')
    ORDER BY a.exercise_id, a.bay`),
  liveEvents: db.prepare<[], StageEvent & { attemptId: number }>(`
    SELECT s.attempt_id AS attemptId, s.act, p.name AS "by", s.at, s.note
    FROM attempt a JOIN stage_event s ON s.attempt_id = a.id JOIN person p ON p.id = s.by_id
    WHERE a.stage = 'live' ORDER BY s.id`),
  pile: db.prepare<[number], RawPile>(`
    SELECT a.id, a.exercise_id AS exerciseId, p.name, p.cohort, a.bay, a.stage, a.version,
      (SELECT max(e.at) FROM stage_event e WHERE e.attempt_id = a.id AND e.act IN ('handIn', 'handInAlone')) AS handedInAt,
      coalesce(i.version, 0) AS inspection, coalesce(m.version, 0) AS draft,
      (SELECT max(d.id) FROM decision d WHERE d.attempt_id = a.id) AS decisionId,
      k.version AS keptVersion, k.decision_id AS keptDecision, k.mark, k.out_of AS outOf, k.critical, k.met
    FROM attempt a JOIN person p ON p.id = a.person_id
    LEFT JOIN inspection i ON i.attempt_id = a.id LEFT JOIN marking_draft m ON m.attempt_id = a.id
    LEFT JOIN kept_mark k ON k.attempt_id = a.id
    WHERE a.id IN (
      SELECT id FROM attempt WHERE stage IN ('handedIn', 'decided')
      UNION SELECT id FROM (SELECT id FROM attempt WHERE stage = 'released' ORDER BY id DESC LIMIT ?))
    ORDER BY a.exercise_id, a.bay`),
})

const groupStatements = (db: Database) => ({
  counts: db.prepare<[], { exerciseId: number; n: number }>(
    'SELECT e.id AS exerciseId, (SELECT count(*) FROM attempt WHERE exercise_id = e.id) AS n FROM exercise e',
  ),
  groupsAtWork: db.prepare<[], { cohort: string; exerciseId: number; n: number }>(`
    SELECT p.cohort, a.exercise_id AS exerciseId, count(*) AS n
    FROM attempt a JOIN person p ON p.id = a.person_id
    WHERE a.stage IN ${IN_HAND} OR a.stage = 'handedIn' GROUP BY p.cohort, a.exercise_id ORDER BY p.cohort`),
  groupsOf: db.prepare<[number], { cohort: string; n: number; open: number; last: number }>(`
    SELECT p.cohort, count(*) AS n, sum(a.stage <> 'released') AS open, max(a.id) AS last
    FROM attempt a JOIN person p ON p.id = a.person_id WHERE a.exercise_id = ? GROUP BY p.cohort ORDER BY p.cohort`),
  handedIn: db.prepare<[number], { id: number }>(
    `SELECT id FROM attempt WHERE exercise_id = ? AND stage IN ('handedIn', 'decided', 'released') ORDER BY bay, id`,
  ),
  // From one bay to the next by the index, however many sheets there are.
  bays: db.prepare<[], { bay: number }>(`
    WITH RECURSIVE known (bay) AS (
      SELECT min(bay) FROM attempt
      UNION ALL SELECT (SELECT min(bay) FROM attempt WHERE bay > known.bay) FROM known WHERE known.bay IS NOT NULL)
    SELECT bay FROM known WHERE bay IS NOT NULL`),
  ofCohort: db.prepare<[string], { personId: number; exerciseId: number }>(
    'SELECT person_id AS personId, exercise_id AS exerciseId FROM attempt WHERE person_id IN (SELECT id FROM person WHERE cohort = ?)',
  ),
  // Not handed in yet; with what sent it back last, where something did.
  openOf: db.prepare<[string], OpenTask>(`
    SELECT a.person_id AS personId, a.exercise_id AS exerciseId, e.act, e.at, e.note
    FROM attempt a JOIN person p ON p.id = a.person_id LEFT JOIN stage_event e ON e.id =
      (SELECT max(id) FROM stage_event WHERE attempt_id = a.id AND act IN ('withdraw', 'refuse'))
    WHERE p.cohort = ? AND a.stage IN ${IN_HAND} ORDER BY a.id`),
  cameBack: db.prepare<[number], { n: number }>(`
    SELECT count(*) AS n FROM attempt a JOIN stage_event e ON e.id =
      (SELECT max(id) FROM stage_event WHERE attempt_id = a.id)
    WHERE a.person_id = ? AND a.stage IN ('dead', 'live') AND e.act IN ('permit', 'refuse', 'withdraw')`),
  // By number, so that five years are not walked through.
  lastTasks: db.prepare<[number], { exerciseId: number; task: string }>(
    'SELECT exercise_id AS exerciseId, task FROM attempt WHERE id > (SELECT max(id) FROM attempt) - ? ORDER BY id',
  ),
  stagesOf: db.prepare<[string], { personId: number; exerciseId: number; stage: Stage }>(`
    SELECT a.person_id AS personId, a.exercise_id AS exerciseId, a.stage
    FROM attempt a JOIN person p ON p.id = a.person_id WHERE p.cohort = ?`),
})

/** A task in hand; with what sent it back last, where something did. */
interface OpenTask {
  readonly personId: number
  readonly exerciseId: number
  readonly act: 'withdraw' | 'refuse' | null
  readonly at: string | null
  readonly note: string | null
}

const toFloor = ({ act, by, at, ...row }: RawFloor): FloorRow => ({
  ...row,
  lastAct: act === null ? null : { act, by, at },
})
const toPile = ({ keptVersion, keptDecision, mark, outOf, critical, met, ...row }: RawPile): PileRow => ({
  ...row,
  kept:
    keptVersion === null
      ? null
      : { version: keptVersion, decisionId: keptDecision, mark, outOf, critical, met: met === 1 },
})

/** Attempts in lists, without their work: who is where, what waits, how many there are. */
export function createAttemptLists(db: Database) {
  const sql = { ...statementsOf(db), ...groupStatements(db) }
  return {
    /** At work, waiting for a decision, or given back lately. */
    onFloor: () => sql.floor.all().map(toFloor),
    /** Everything that happened to those that are live. */
    liveEvents: (): ReadonlyMap<number, readonly StageEvent[]> => {
      const events = new Map<number, StageEvent[]>()
      for (const { attemptId, ...event } of sql.liveEvents.all())
        events.set(attemptId, [...(events.get(attemptId) ?? []), event])
      return events
    },
    /** Handed in and decided, and the latest of those given back. */
    onPile: (released: number) => sql.pile.all(released).map(toPile),
    /** How many have each exercise. */
    counts: (): ReadonlyMap<number, number> =>
      new Map(sql.counts.all().map(({ exerciseId, n }) => [exerciseId, n])),
    /** Groups that are at work, by what they are at. */
    groupsAtWork: () => sql.groupsAtWork.all(),
    /** Groups that have an exercise; `last` tells which had it last. */
    groupsOf: (exerciseId: number) => sql.groupsOf.all(exerciseId),
    /** Sheets of an exercise that have been handed in, in the order of the pile. */
    handedIn: (exerciseId: number) => sql.handedIn.all(exerciseId).map(({ id }) => id),
    /** Bays that somebody has worked at. */
    bays: () => sql.bays.all().map(({ bay }) => bay),
    /** Who of a group has which exercise, done or in hand. */
    ofCohort: (cohort: string) => sql.ofCohort.all(cohort),
    /** What a group has in hand and not handed in. */
    openOf: (cohort: string) => sql.openOf.all(cohort),
    /** How many tasks of somebody an assessor has just permitted, stopped or sent back. */
    cameBack: (personId: number): number => sql.cameBack.get(personId)!.n,
    /** What the sheets given out last were worked from. */
    lastInstallations: (most: number) =>
      sql.lastTasks
        .all(most)
        .map(({ exerciseId, task }) => ({ exerciseId, installation: upgradeTask(JSON.parse(task)) })),
    /** Where everybody of a group stands, without their work. */
    stagesOf: (cohort: string) => sql.stagesOf.all(cohort),
  }
}
