import type { Database } from 'better-sqlite3'
import type { Seating } from '#core/arrangement/board'
import type { LayoutTask } from '#core/arrangement/marked'
import { WISHES, type Wish } from '#core/arrangement/wishes'
import type { LayoutHead, LayoutResult, LayoutTry } from '#schemas/layout-views'

interface RawTask {
  readonly id: number
  readonly exerciseId: number
  readonly title: string
  readonly cohort: string
  readonly document: string
  readonly setAt: string
}
export interface StoredLayout extends Omit<RawTask, 'document'> {
  readonly task: LayoutTask
}
interface RawTry {
  readonly seating: string
  readonly percent: number
  readonly at: string
}

const TASK =
  'SELECT id, exercise_id AS exerciseId, title, cohort, document, set_at AS setAt FROM layout_task WHERE withdrawn_at'
const HEAD = `SELECT t.id, t.title, t.cohort, t.set_at AS setAt, x.code AS exerciseCode
  FROM layout_task t JOIN exercise x ON x.id = t.exercise_id WHERE t.withdrawn_at IS NULL`

const statementsOf = (db: Database) => ({
  byId: db.prepare<[number], RawTask>(`${TASK} IS NULL AND id = ?`),
  withdrawn: db.prepare<[number], RawTask>(`${TASK} IS NOT NULL AND id = ?`),
  restore: db.prepare('UPDATE layout_task SET withdrawn_at = NULL WHERE id = ? AND withdrawn_at IS NOT NULL'),
  all: db.prepare<[], Omit<LayoutHead, 'tries' | 'percent'>>(`${HEAD} ORDER BY t.id DESC LIMIT 200`),
  ofCohort: db.prepare<[string], Omit<LayoutHead, 'tries' | 'percent'>>(
    `${HEAD} AND t.cohort = ? ORDER BY t.id DESC LIMIT 200`,
  ),
  insert: db.prepare(
    'INSERT INTO layout_task (title, cohort, exercise_id, document, set_by, set_at) VALUES (?, ?, ?, ?, ?, ?)',
  ),
  withdraw: db.prepare('UPDATE layout_task SET withdrawn_at = ? WHERE id = ? AND withdrawn_at IS NULL'),
  tries: db.prepare<[number, number], RawTry>(
    'SELECT seating, percent, at FROM layout_try WHERE task_id = ? AND person_id = ? ORDER BY id',
  ),
  add: db.prepare('INSERT INTO layout_try (task_id, person_id, seating, percent, at) VALUES (?, ?, ?, ?, ?)'),
  ownResults: db.prepare<[number], { taskId: number; tries: number; percent: number }>(
    `SELECT task_id AS taskId, count(*) AS tries, max(percent) AS percent
     FROM layout_try WHERE person_id = ? GROUP BY task_id`,
  ),
  results: db.prepare<[number], LayoutResult>(
    `SELECT p.name, count(*) AS tries, max(l.percent) AS percent, max(l.at) AS at
     FROM layout_try l JOIN person p ON p.id = l.person_id
     WHERE l.task_id = ? AND p.role = 'apprentice' GROUP BY l.person_id ORDER BY p.name`,
  ),
})

/** What was not yet wished when a task was set counts nothing in it. */
function readTask(document: string): LayoutTask {
  const task = JSON.parse(document) as LayoutTask
  const nothing = Object.fromEntries(WISHES.map((wish) => [wish, 0])) as Record<Wish, number>
  return { ...task, weights: { ...nothing, ...task.weights } }
}

/** Boards to lay out, and what was handed in; tries are never changed. */
export function createLayoutsRepo(db: Database) {
  const sql = statementsOf(db)
  const parsed = new Map<number, LayoutTask>()
  /** A document is written once: it is read once. */
  const stored = (row: RawTask | undefined): StoredLayout | undefined => {
    if (!row) return undefined
    const { document, ...head } = row
    const task = parsed.get(row.id) ?? readTask(document)
    parsed.set(row.id, task)
    return { ...head, task }
  }

  return {
    byId: (id: number) => stored(sql.byId.get(id)),
    /** One that was withdrawn. */
    withdrawn: (id: number) => stored(sql.withdrawn.get(id)),
    restore: (id: number): boolean => sql.restore.run(id).changes === 1,
    all: () => sql.all.all(),
    ofCohort: (cohort: string) => sql.ofCohort.all(cohort),
    insert: (
      {
        title,
        cohort,
        exerciseId,
        task,
      }: { title: string; cohort: string; exerciseId: number; task: LayoutTask },
      by: number,
      at: string,
    ): number =>
      Number(sql.insert.run(title, cohort, exerciseId, JSON.stringify(task), by, at).lastInsertRowid),
    withdraw: (id: number, at: string): boolean => sql.withdraw.run(at, id).changes === 1,
    tries: (id: number, personId: number): LayoutTry[] =>
      sql.tries.all(id, personId).map((row) => ({ ...row, seating: JSON.parse(row.seating) as Seating })),
    add: (id: number, personId: number, seating: Seating, percent: number, at: string): void =>
      void sql.add.run(id, personId, JSON.stringify(seating), percent, at),
    /** By task, how often this person tried and how near they came. */
    ownResults: (personId: number) =>
      new Map(sql.ownResults.all(personId).map(({ taskId, ...result }) => [taskId, result])),
    results: (id: number): LayoutResult[] => sql.results.all(id),
  }
}
