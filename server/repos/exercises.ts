import type { Database } from 'better-sqlite3'
import type { Exercise } from '#core/exercise/exercise'
import { upgradeExercise } from '#core/exercise/upgrade'
import type { StoredExercise } from '#schemas/views'

interface Row {
  id: number
  document: string
  state: 'draft' | 'set'
  version: number
  updated_by_name: string
  updated_at: string
}

const SELECT =
  'SELECT e.id, e.document, e.state, e.version, e.updated_at, p.name AS updated_by_name FROM exercise e JOIN person p ON p.id = e.updated_by'

const toStored = (row: Row): StoredExercise => ({
  id: row.id,
  state: row.state,
  version: row.version,
  updatedBy: row.updated_by_name,
  updatedAt: row.updated_at,
  exercise: upgradeExercise(JSON.parse(row.document)) as Exercise,
})

export function createExercisesRepo(db: Database) {
  const all = db.prepare<[], Row>(`${SELECT} ORDER BY e.code`)
  const heads = db.prepare<[], { id: number; code: string; title: string }>(
    "SELECT id, code, json_extract(document, '$.title') AS title FROM exercise ORDER BY code",
  )
  const byId = db.prepare<[number], Row>(`${SELECT} WHERE e.id = ?`)
  const byCode = db.prepare<[string], Row>(`${SELECT} WHERE e.code = ?`)
  const insert = db.prepare(
    "INSERT INTO exercise (code, document, state, version, updated_by, updated_at) VALUES (?, ?, 'draft', 1, ?, ?)",
  )
  const update = db.prepare(
    'UPDATE exercise SET code = ?, document = ?, version = version + 1, updated_by = ?, updated_at = ? WHERE id = ? AND version = ?',
  )
  const markSet = db.prepare(
    "UPDATE exercise SET state = 'set', version = version + 1, document = ? WHERE id = ?",
  )

  return {
    all: () => all.all().map(toStored),
    /** Code and title alone. */
    heads: () => heads.all(),
    byId: (id: number) => map(byId.get(id)),
    byCode: (code: string) => map(byCode.get(code)),
    insert: (exercise: Exercise, by: number, now: string): number =>
      Number(insert.run(exercise.code, JSON.stringify(exercise), by, now).lastInsertRowid),
    /** False when somebody saved another version in between. */
    update: (id: number, version: number, exercise: Exercise, by: number, now: string): boolean =>
      update.run(exercise.code, JSON.stringify(exercise), by, now, id, version).changes === 1,
    markSet: (id: number, exercise: Exercise) => void markSet.run(JSON.stringify(exercise), id),
  }
}

const map = (row: Row | undefined) => (row ? toStored(row) : undefined)
