import type { Database } from 'better-sqlite3'
import type { Sums } from '#core/statistics/drift'
import type { TaskTimes } from '#core/planning/learn'

interface SheetRow {
  readonly attempt: number
  readonly person: number
  readonly exercise: number
  readonly bay: number
  /** Empty where none was written down. */
  readonly instrument: string
  readonly day: string
  /** Codes with a space between; null where nothing went wrong. */
  readonly kinds: string | null
}
export interface SumsRow extends Sums {
  readonly bay: number
  readonly instrument: string
  readonly kind: string
}
export interface StoredLesson {
  readonly id: number
  readonly day: string
  readonly about: string
  readonly title: string
  readonly by: string
  readonly exerciseId: number | null
}
export interface DecidedSheet {
  readonly attempt: number
  readonly code: string
  readonly title: string
  readonly day: string
  readonly met: number
  readonly mark: number
  readonly outOf: number
}

// The latest decision on each sheet of a group: SQLite takes the other columns from the row of the maximum.
const LATEST = `WITH latest AS (
  SELECT a.id AS attempt, a.person_id AS person, a.exercise_id AS exercise, a.bay, max(d.id) AS id, d.at
  FROM person p JOIN attempt a ON a.person_id = p.id JOIN decision d ON d.attempt_id = a.id
  WHERE p.cohort = @cohort GROUP BY a.id)`
type Asked = { cohort: string; since: string }
/** Behind a count so many are listed, the newest first. */
const MOST_LISTED = 200

const statementsOf = (db: Database) => ({
  sheets: db.prepare<[Asked], SheetRow>(`
    ${LATEST}
    SELECT d.attempt, d.person, d.exercise, d.bay, substr(d.at, 1, 10) AS day,
      coalesce((SELECT r.instrument FROM decision_reading r WHERE r.decision_id = d.id LIMIT 1), '') AS instrument,
      (SELECT group_concat(s.code, ' ') FROM decision_slip s WHERE s.decision_id = d.id) AS kinds
    FROM latest d WHERE d.at >= @since ORDER BY d.at`),
  sums: db.prepare<[Asked], SumsRow>(`
    ${LATEST}
    SELECT d.bay, r.instrument, r.kind, count(*) AS n, sum(r.excess) AS sum, sum(r.excess * r.excess) AS squares
    FROM latest d JOIN decision_reading r ON r.decision_id = d.id
    -- Ten times too much or too little is a slip of the pen, not a drift.
    WHERE d.at >= @since AND abs(r.excess) < 1
    GROUP BY d.bay, r.instrument, r.kind`),
  times: db.prepare<[Asked], TaskTimes & { exercise: number }>(`
    SELECT a.exercise_id AS exercise, a.begun_at AS begun,
      min(CASE WHEN e.act = 'handInDesign' THEN e.at END) AS designDone,
      max(CASE WHEN e.act = 'askPermission' THEN e.at END) AS asked,
      max(CASE WHEN e.act = 'permit' THEN e.at END) AS permitted,
      max(CASE WHEN e.act = 'handIn' THEN e.at END) AS done
    FROM person p JOIN attempt a ON a.person_id = p.id JOIN stage_event e ON e.attempt_id = a.id
    WHERE p.cohort = @cohort AND e.at >= @since GROUP BY a.id`),
  ofPerson: db.prepare<[number, string], DecidedSheet>(`
    SELECT a.id AS attempt, e.code, json_extract(e.document, '$.title') AS title, substr(d.at, 1, 10) AS day,
      d.met, d.mark, d.out_of AS outOf
    FROM attempt a JOIN decision d ON d.attempt_id = a.id JOIN exercise e ON e.id = a.exercise_id
    WHERE a.person_id = ? AND d.at >= ? AND d.id = (SELECT max(l.id) FROM decision l WHERE l.attempt_id = a.id)
    ORDER BY d.at DESC`),
})

/** What observations and questions of a group came to, and where each was. */
const askedOf = (db: Database) => ({
  rules: db.prepare<[Asked], { rule: string; broken: number; n: number }>(`
    SELECT json_extract(r.value, '$.code') AS rule,
      sum(json_extract(r.value, '$.state') = 'broken') AS broken, count(*) AS n
    FROM person p JOIN observation o ON o.apprentice_id = p.id JOIN observation_decision d ON d.observation_id = o.id
      JOIN json_each(d.evidence, '$.verdict.rules') r
    WHERE p.cohort = @cohort AND d.at >= @since GROUP BY 1 ORDER BY broken DESC`),
  brokenIn: db.prepare<[Asked], { rule: string; observation: number; person: number; day: string }>(`
    SELECT json_extract(r.value, '$.code') AS rule, o.id AS observation, p.id AS person, substr(d.at, 1, 10) AS day
    FROM person p JOIN observation o ON o.apprentice_id = p.id JOIN observation_decision d ON d.observation_id = o.id
      JOIN json_each(d.evidence, '$.verdict.rules') r
    WHERE p.cohort = @cohort AND d.at >= @since AND json_extract(r.value, '$.state') = 'broken'
    ORDER BY d.at DESC LIMIT ${MOST_LISTED}`),
  helpedWith: db.prepare<
    [Asked],
    { topic: string; person: number; attempt: number | null; day: string; wording: string }
  >(`
    SELECT q.topic, p.id AS person, q.attempt_id AS attempt, substr(q.asked_at, 1, 10) AS day, q.wording
    FROM person p JOIN question_asked q ON q.person_id = p.id
    WHERE p.cohort = @cohort AND q.asked_at >= @since AND q.outcome <> 'unaided'
      AND NOT EXISTS (SELECT 1 FROM question_undone u WHERE u.asked_id = q.id)
    ORDER BY q.asked_at DESC LIMIT ${MOST_LISTED}`),
  topics: db.prepare<[Asked], { topic: string; asked: number; unaided: number }>(`
    SELECT q.topic, count(*) AS asked, sum(q.outcome = 'unaided') AS unaided
    FROM person p JOIN question_asked q ON q.person_id = p.id
    WHERE p.cohort = @cohort AND q.asked_at >= @since
      AND NOT EXISTS (SELECT 1 FROM question_undone u WHERE u.asked_id = q.id)
    GROUP BY q.topic`),
})

const lessonsOf = (db: Database) => ({
  lessons: db.prepare<[Asked], StoredLesson>(`
    SELECT l.id, l.day, l.about, l.title, p.name AS "by", l.exercise_id AS exerciseId
    FROM lesson l JOIN person p ON p.id = l.by_id WHERE l.cohort = @cohort AND l.day >= @since ORDER BY l.day, l.id`),
  addLesson: db.prepare(
    'INSERT INTO lesson (cohort, day, about, title, by_id, at, exercise_id) VALUES (?, ?, ?, ?, ?, ?, ?)',
  ),
  starters: db.prepare<[number, string], { sheets: number; withSlip: number }>(`
    SELECT count(*) AS sheets, sum(EXISTS (
      SELECT 1 FROM decision_slip s WHERE s.decision_id = d.id AND s.code = l.about)) AS withSlip
    FROM lesson l JOIN attempt a ON a.exercise_id = l.exercise_id JOIN decision d ON d.attempt_id = a.id
      JOIN person p ON p.id = a.person_id
    WHERE l.id = ? AND p.cohort = ? AND d.id = (SELECT max(x.id) FROM decision x WHERE x.attempt_id = a.id)`),
})

/** What a picture of a group is drawn from, without reading any sheet. */
export function createPictureRepo(db: Database) {
  const sql = { ...statementsOf(db), ...askedOf(db), ...lessonsOf(db) }
  return {
    sheets: (cohort: string, since: string) =>
      sql.sheets
        .all({ cohort, since })
        .map(({ kinds, ...row }) => ({ ...row, kinds: kinds ? kinds.split(' ') : [] })),
    /** Logarithms of reading over expected, summed by bay, instrument and kind. */
    sums: (cohort: string, since: string) => sql.sums.all({ cohort, since }),
    times: (cohort: string, since: string) => sql.times.all({ cohort, since }),
    rules: (cohort: string, since: string) => sql.rules.all({ cohort, since }),
    brokenIn: (cohort: string, since: string) => sql.brokenIn.all({ cohort, since }),
    helpedWith: (cohort: string, since: string) => sql.helpedWith.all({ cohort, since }),
    topics: (cohort: string, since: string) => sql.topics.all({ cohort, since }),
    lessons: (cohort: string, since: string) => sql.lessons.all({ cohort, since }),
    addLesson: (
      lesson: {
        readonly cohort: string
        readonly day: string
        readonly about: string
        readonly title: string
      },
      by: number,
      at: string,
      exerciseId: number | null,
    ): void => {
      const { cohort, day, about, title } = lesson
      sql.addLesson.run(cohort, day, about, title, by, at, exerciseId)
    },
    /** How many of a starter’s sheets show its slip. */
    starter: (lessonId: number, cohort: string) => {
      const { sheets: n, withSlip } = sql.starters.get(lessonId, cohort)!
      return { sheets: n, withSlip: withSlip ?? 0 }
    },
    ofPerson: (personId: number, since: string) => sql.ofPerson.all(personId, since),
  }
}
