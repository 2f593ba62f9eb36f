import type { Database } from 'better-sqlite3'
import type { Away, DueBay } from '#core/planning/facts'
import type { TaskTimes } from '#core/planning/learn'
import type { SessionFields } from '#core/planning/read-session'

export interface StoredSession {
  readonly id: number
  readonly day: string
  readonly cohort: string
  readonly fields: SessionFields
  readonly version: number
  readonly savedAt: string | null
}
type RawSession = Omit<StoredSession, 'fields'> & { fields: string }
const read = (row: RawSession): StoredSession => ({ ...row, fields: JSON.parse(row.fields) as SessionFields })

export interface CalendarEntry extends Away {
  readonly id: number
}
export interface BayCheck extends DueBay {
  readonly doneOn: string
  readonly by: string
  readonly note: string
}

const SESSION = 'SELECT id, day, cohort, fields, version, saved_at AS savedAt FROM planned_session'
const ENTRY = `
  SELECT e.id, e.kind, e.person_id AS personId, e.from_day AS fromDay, e.to_day AS toDay, e.title FROM calendar_entry e`

const statementsOf = (db: Database) => ({
  byId: db.prepare<[number], RawSession>(`${SESSION} WHERE id = ?`),
  between: db.prepare<[string, string], RawSession>(`${SESSION} WHERE day BETWEEN ? AND ? ORDER BY day, id`),
  undated: db.prepare<[], RawSession>(`${SESSION} WHERE day = '' ORDER BY id DESC LIMIT 30`),
  lastOf: db.prepare<[string, string], RawSession>(
    `${SESSION} WHERE cohort = ? AND day < ? AND day <> '' ORDER BY day DESC, id DESC LIMIT 1`,
  ),
  insert: db.prepare(
    'INSERT INTO planned_session (day, cohort, fields, made_by, made_at) VALUES (?, ?, ?, ?, ?)',
  ),
  save: db.prepare(
    `UPDATE planned_session SET day = ?, cohort = ?, fields = ?, saved_at = ?, version = version + 1
     WHERE id = ? AND version = ?`,
  ),
  isIssued: db.prepare<[number], { id: number }>('SELECT id FROM drum_move WHERE session_id = ? LIMIT 1'),
  remove: db.prepare('DELETE FROM planned_session WHERE id = ?'),
  // The first moments at which the stages of each attempt of an exercise changed.
  times: db.prepare<[], TaskTimes & { exerciseId: number }>(`
    SELECT a.exercise_id AS exerciseId, a.begun_at AS begun,
      min(CASE WHEN e.act = 'handInDesign' THEN e.at END) AS designDone,
      max(CASE WHEN e.act = 'askPermission' THEN e.at END) AS asked,
      max(CASE WHEN e.act = 'permit' THEN e.at END) AS permitted,
      max(CASE WHEN e.act = 'handIn' THEN e.at END) AS done
    FROM stage_event e JOIN attempt a ON a.id = e.attempt_id
    WHERE e.id > (SELECT coalesce(max(id), 0) - 20000 FROM stage_event)
    GROUP BY a.id`),
  entries: db.prepare<[string, string], CalendarEntry>(
    `${ENTRY} WHERE e.to_day >= ? AND e.from_day <= ? ORDER BY e.from_day, e.id`,
  ),
  addEntry: db.prepare(
    `INSERT INTO calendar_entry (kind, person_id, from_day, to_day, title, put_by, put_at)
     VALUES (?, ?, ?, ?, ?, ?, ?)`,
  ),
  removeEntry: db.prepare('DELETE FROM calendar_entry WHERE id = ?'),
  checks: db.prepare<[], BayCheck>(
    `SELECT c.bay, c.kind, c.done_on AS doneOn, c.due_on AS dueOn, c.note, p.name AS "by"
     FROM bay_check c JOIN person p ON p.id = c.by_id
     WHERE c.id = (SELECT max(l.id) FROM bay_check l WHERE l.bay = c.bay AND l.kind = c.kind) ORDER BY c.bay, c.kind`,
  ),
  addCheck: db.prepare(
    'INSERT INTO bay_check (bay, kind, done_on, due_on, note, by_id, at) VALUES (?, ?, ?, ?, ?, ?, ?)',
  ),
})

type NewCheck = Omit<BayCheck, 'by'> & { readonly byId: number; readonly at: string }
type NewEntry = Away & { readonly byId: number; readonly at: string }

/** Sessions that are planned, and the calendar and the bays that they go round. */
export function createPlanningRepo(db: Database) {
  const sql = statementsOf(db)
  return {
    byId: (id: number) => {
      const row = sql.byId.get(id)
      return row && read(row)
    },
    between: (from: string, to: string) => sql.between.all(from, to).map(read),
    /** Without a day yet, newest first. */
    undated: () => sql.undated.all().map(read),
    /** The last one of a group before a day. */
    lastOf: (cohort: string, before: string) => {
      const row = sql.lastOf.get(cohort, before)
      return row && read(row)
    },
    insert: (cohort: string, fields: SessionFields, by: number, at: string): number =>
      Number(sql.insert.run(fields.day ?? '', cohort, JSON.stringify(fields), by, at).lastInsertRowid),
    /** False when somebody else was quicker. */
    save: (id: number, version: number, fields: SessionFields, at: string): boolean =>
      sql.save.run(fields.day ?? '', fields.cohort ?? '', JSON.stringify(fields), at, id, version).changes ===
      1,
    /** Whether cable went out for it: then the register names it. */
    isIssued: (id: number): boolean => sql.isIssued.get(id) !== undefined,
    remove: (id: number): boolean => sql.remove.run(id).changes === 1,
    /** When stages changed, of the latest attempts, by exercise. */
    times: (): ReadonlyMap<number, readonly TaskTimes[]> => {
      const byExercise = new Map<number, TaskTimes[]>()
      for (const { exerciseId, ...times } of sql.times.all()) {
        const known = byExercise.get(exerciseId)
        if (known) known.push(times)
        else byExercise.set(exerciseId, [times])
      }
      return byExercise
    },
    entries: (from: string, to: string) => sql.entries.all(from, to),
    addEntry: ({ kind, personId, fromDay, toDay, title, byId, at }: NewEntry): void =>
      void sql.addEntry.run(kind, personId, fromDay, toDay, title, byId, at),
    removeEntry: (id: number): boolean => sql.removeEntry.run(id).changes === 1,
    /** The latest check of each kind of each bay. */
    checks: () => sql.checks.all(),
    addCheck: ({ bay, kind, doneOn, dueOn, note, byId, at }: NewCheck): void =>
      void sql.addCheck.run(bay, kind, doneOn, dueOn, note, byId, at),
  }
}
