import type { Database } from 'better-sqlite3'
import type { Site } from '#core/survey/site/site'
import type { SurveyMarks } from '#core/survey/site/mark'
import type { SurveyFields } from '#core/survey/sheet/sheet'
import type { FedBox } from '#core/survey/sheet/feed'
import type { PersonOccasion } from './decisions'

export interface StoredSurvey {
  readonly id: number
  readonly personId: number
  readonly person: string
  readonly cohort: string
  /** As it was set; null for a real place. */
  readonly site: Site | null
  readonly fields: SurveyFields
  readonly version: number
  readonly savedAt: string | null
}
export interface SurveyHandIn {
  readonly id: number
  readonly surveyId: number
  readonly fields: SurveyFields
  readonly at: string
}
export interface SurveyDecision {
  readonly handInId: number
  readonly met: boolean
  readonly feedback: string
  readonly marks: SurveyMarks
  readonly by: string
  readonly at: string
}
export interface SurveyFeed {
  readonly exerciseId: number
  readonly surveyId: number
  readonly boxes: readonly FedBox[]
}

type Raw<T, K extends keyof T> = Omit<T, K> & Record<K, string>
type RawSurvey = Omit<StoredSurvey, 'site' | 'fields'> & { site: string | null; fields: string }
type RawDecision = Omit<SurveyDecision, 'met' | 'marks'> & { met: number; marks: string }
interface RawOccasion {
  personId: number
  criteria: string
  met: number
  decidedBy: string
  decidedAt: string
  site: string | null
  title: string | null
}

const SURVEY = `
  SELECT s.id, s.person_id AS personId, p.name AS person, p.cohort, s.site, s.fields, s.version, s.saved_at AS savedAt
  FROM survey s JOIN person p ON p.id = s.person_id`
const DECISION = `
  SELECT d.hand_in_id AS handInId, d.met, d.feedback, d.marks, p.name AS "by", d.at
  FROM survey_decision d JOIN person p ON p.id = d.by_id`
// Of a survey that was decided again the latest decision counts.
const OCCASIONS = `
  SELECT d.person_id AS personId, d.criteria, d.met, p.name AS decidedBy, d.at AS decidedAt, s.site_code AS site,
         json_extract(h.fields, '$.title') AS title
  FROM survey_decision d JOIN survey_hand_in h ON h.id = d.hand_in_id JOIN survey s ON s.id = h.survey_id
       JOIN person p ON p.id = d.by_id
  WHERE d.id = (SELECT max(l.id) FROM survey_decision l JOIN survey_hand_in k ON k.id = l.hand_in_id
                WHERE k.survey_id = s.id)`

const toSurvey = ({ site, fields, ...row }: RawSurvey): StoredSurvey => ({
  ...row,
  site: site === null ? null : (JSON.parse(site) as Site),
  fields: JSON.parse(fields) as SurveyFields,
})
const toHandIn = (row: Raw<SurveyHandIn, 'fields'>): SurveyHandIn => ({
  ...row,
  fields: JSON.parse(row.fields) as SurveyFields,
})
const toDecision = (row: RawDecision): SurveyDecision => ({
  ...row,
  met: row.met === 1,
  marks: JSON.parse(row.marks) as SurveyMarks,
})
/** A survey of an invented site is simulated evidence; of a real place it is a product. */
const toOccasions = ({ criteria, met, site, title, ...row }: RawOccasion): PersonOccasion[] =>
  (JSON.parse(criteria) as string[]).map((criterion) => ({
    ...row,
    from: 'survey',
    criterion,
    met: met === 1,
    claimKind: site === null ? 'product' : 'simulated',
    attemptId: null,
    exerciseCode: `survey ${site ?? (title ?? '').toLowerCase()}`,
    exerciseTitle: title ?? 'Survey',
    shown: null,
  }))

const statementsOf = (db: Database) => ({
  byId: db.prepare<[number], RawSurvey>(`${SURVEY} WHERE s.id = ?`),
  ofPerson: db.prepare<[number], RawSurvey>(`${SURVEY} WHERE s.person_id = ? ORDER BY s.id DESC`),
  handedIn: db.prepare<[], RawSurvey>(
    `${SURVEY} WHERE p.role = 'apprentice' AND EXISTS (SELECT 1 FROM survey_hand_in h WHERE h.survey_id = s.id)
     ORDER BY s.id DESC LIMIT 300`,
  ),
  insert: db.prepare(
    `INSERT OR IGNORE INTO survey (person_id, site_code, site, fields, begun_at, set_by) VALUES (?, ?, ?, ?, ?, ?)`,
  ),
  save: db.prepare(
    'UPDATE survey SET fields = ?, saved_at = ?, version = version + 1 WHERE id = ? AND version = ?',
  ),
  act: db.prepare('INSERT OR IGNORE INTO survey_act (survey_id, act, at) VALUES (?, ?, ?)'),
  acts: db.prepare<[number], { act: string; at: string }>(
    'SELECT act, at FROM survey_act WHERE survey_id = ? ORDER BY at, act',
  ),
  feed: db.prepare(
    'INSERT INTO survey_feed (exercise_id, survey_id, boxes, made_by, made_at) VALUES (?, ?, ?, ?, ?)',
  ),
  feedAgain: db.prepare('UPDATE survey_feed SET boxes = ?, made_by = ?, made_at = ? WHERE exercise_id = ?'),
  feedOf: db.prepare<[number], { exerciseId: number; surveyId: number; boxes: string }>(
    'SELECT exercise_id AS exerciseId, survey_id AS surveyId, boxes FROM survey_feed WHERE exercise_id = ?',
  ),
  fedBy: db.prepare<[number], { id: number; code: string; state: string }>(
    `SELECT e.id, e.code, e.state FROM survey_feed f JOIN exercise e ON e.id = f.exercise_id WHERE f.survey_id = ?`,
  ),
  sites: db.prepare<[], { document: string }>('SELECT document FROM site ORDER BY code'),
  addSite: db.prepare('INSERT OR IGNORE INTO site (code, document, made_by, made_at) VALUES (?, ?, ?, ?)'),
})

const decidedOf = (db: Database) => ({
  handIn: db.prepare('INSERT INTO survey_hand_in (survey_id, fields, at) VALUES (?, ?, ?)'),
  handIns: db.prepare<[number], Raw<SurveyHandIn, 'fields'>>(
    'SELECT id, survey_id AS surveyId, fields, at FROM survey_hand_in WHERE survey_id = ? ORDER BY id',
  ),
  lastHandIns: db.prepare<[string], { id: number; surveyId: number; at: string }>(
    `SELECT id, survey_id AS surveyId, at FROM survey_hand_in WHERE id IN (
       SELECT max(id) FROM survey_hand_in WHERE survey_id IN (SELECT value FROM json_each(?)) GROUP BY survey_id)`,
  ),
  lastDecisions: db.prepare<[string], { handInId: number; met: number }>(
    `SELECT hand_in_id AS handInId, met FROM survey_decision WHERE id IN (
       SELECT max(id) FROM survey_decision WHERE hand_in_id IN (SELECT value FROM json_each(?)) GROUP BY hand_in_id)`,
  ),
  decisions: db.prepare<[number], RawDecision>(
    `${DECISION} JOIN survey_hand_in h ON h.id = d.hand_in_id WHERE h.survey_id = ? ORDER BY d.id`,
  ),
  decide: db.prepare(
    `INSERT INTO survey_decision (hand_in_id, person_id, met, feedback, marks, criteria, by_id, at)
     VALUES (?, ?, ?, ?, ?, ?, ?, ?)`,
  ),
  occasionsOf: db.prepare<[number], RawOccasion>(`${OCCASIONS} AND d.person_id = ? ORDER BY d.id`),
  occasionsOfCohort: db.prepare<[string], RawOccasion>(
    `${OCCASIONS} AND d.person_id IN (SELECT id FROM person WHERE cohort = ?) ORDER BY d.id`,
  ),
})

interface NewSurveyDecision extends Omit<SurveyDecision, 'by'> {
  readonly personId: number
  readonly criteria: readonly string[]
  readonly byId: number
}

const sitesOf = (sql: ReturnType<typeof statementsOf>) => ({
  sites: () => sql.sites.all().map(({ document }) => JSON.parse(document) as Site),
  /** False where another has the code. */
  addSite: (site: Site, by: number, at: string): boolean =>
    sql.addSite.run(site.code, JSON.stringify(site), by, at).changes === 1,
})

/** Surveys of sites, what was done there, and what was decided about them. */
export function createSurveysRepo(db: Database) {
  const sql = { ...statementsOf(db), ...decidedOf(db) }
  const one = (row: RawSurvey | undefined) => row && toSurvey(row)
  return {
    byId: (id: number) => one(sql.byId.get(id)),
    ofPerson: (personId: number) => sql.ofPerson.all(personId).map(toSurvey),
    /** Of apprentices, handed in at least once, newest first. */
    handedIn: () => sql.handedIn.all().map(toSurvey),
    /** Null where this person has the site already. */
    insert: (
      survey: { readonly personId: number; readonly site: Site | null; readonly fields: SurveyFields },
      at: string,
      setBy: number | null,
    ): number | null => {
      const { personId, site, fields } = survey
      const document = site && JSON.stringify(site)
      const run = sql.insert.run(personId, site?.code ?? null, document, JSON.stringify(fields), at, setBy)
      return run.changes === 1 ? Number(run.lastInsertRowid) : null
    },
    /** False when somebody else was quicker. */
    save: (id: number, version: number, fields: SurveyFields, at: string): boolean =>
      sql.save.run(JSON.stringify(fields), at, id, version).changes === 1,
    act: (id: number, act: string, at: string): void => void sql.act.run(id, act, at),
    acts: (id: number) => sql.acts.all(id),
    handIn: (id: number, fields: SurveyFields, at: string): number =>
      Number(sql.handIn.run(id, JSON.stringify(fields), at).lastInsertRowid),
    handIns: (id: number) => sql.handIns.all(id).map(toHandIn),
    /** The latest of each of these surveys. */
    lastHandIns: (surveys: readonly number[]) => sql.lastHandIns.all(JSON.stringify(surveys)),
    /** Whether the latest decision on each of these hand-ins is met. */
    lastDecisions: (handIns: readonly number[]) => {
      const rows = sql.lastDecisions.all(JSON.stringify(handIns))
      return new Map(rows.map(({ handInId, met }) => [handInId, met === 1]))
    },
    decisions: (id: number) => sql.decisions.all(id).map(toDecision),
    decide: (decision: NewSurveyDecision): void => {
      const { handInId, personId, met, feedback, marks, criteria, byId, at } = decision
      const [kept, codes] = [JSON.stringify(marks), JSON.stringify(criteria)]
      sql.decide.run(handInId, personId, met ? 1 : 0, feedback, kept, codes, byId, at)
    },
    occasionsOf: (personId: number) => sql.occasionsOf.all(personId).flatMap(toOccasions),
    occasionsOfCohort: (cohort: string) => sql.occasionsOfCohort.all(cohort).flatMap(toOccasions),
    feed: ({ exerciseId, surveyId, boxes }: SurveyFeed, by: number, at: string): void =>
      void sql.feed.run(exerciseId, surveyId, JSON.stringify(boxes), by, at),
    feedAgain: (exerciseId: number, boxes: readonly FedBox[], by: number, at: string): void =>
      void sql.feedAgain.run(JSON.stringify(boxes), by, at, exerciseId),
    feedOf: (exerciseId: number): SurveyFeed | undefined => {
      const row = sql.feedOf.get(exerciseId)
      return row && { ...row, boxes: JSON.parse(row.boxes) as FedBox[] }
    },
    exercisesFrom: (surveyId: number) =>
      sql.fedBy.all(surveyId).map(({ id, code, state }) => ({ id, code, isSet: state === 'set' })),
    ...sitesOf(sql),
  }
}
