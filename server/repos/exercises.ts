import type { Database } from 'better-sqlite3'
import type { Exercise } from '#core/exercise/exercise'
import { upgradeExercise } from '#core/exercise/upgrade'
import type { StoredExercise } from '#schemas/views'
import { mayBeTakenBack } from '../db/moment'

/** Everything but the document. */
interface Head {
  id: number
  state: 'draft' | 'set'
  version: number
  updated_by_name: string
  updated_at: string
}

const HEAD =
  'SELECT e.id, e.state, e.version, e.updated_at, p.name AS updated_by_name FROM exercise e JOIN person p ON p.id = e.updated_by'

export function createExercisesRepo(db: Database) {
  const all = db.prepare<[], Head>(`${HEAD} ORDER BY e.code`)
  const document = db.prepare<[number], { document: string }>('SELECT document FROM exercise WHERE id = ?')
  const heads = db.prepare<[], { id: number; code: string; title: string }>(
    "SELECT id, code, json_extract(document, '$.title') AS title FROM exercise ORDER BY code",
  )
  const byId = db.prepare<[number], Head>(`${HEAD} WHERE e.id = ?`)
  const byCode = db.prepare<[string], Head>(`${HEAD} WHERE e.code = ?`)
  const insert = db.prepare(
    "INSERT INTO exercise (code, document, state, version, updated_by, updated_at) VALUES (?, ?, 'draft', 1, ?, ?)",
  )
  const update = db.prepare(
    'UPDATE exercise SET code = ?, document = ?, version = version + ' +
      '1, updated_by = ?, updated_at = ? WHERE id = ? AND version = ?',
  )
  const markSet = db.prepare(
    "UPDATE exercise SET state = 'set', version = version + 1, document = ? WHERE id = ?",
  )

  /** Documents are read once and kept with the version that they belong to. */
  const kept = new Map<number, { readonly of: string; readonly exercise: Exercise }>()
  function read(head: Head): StoredExercise {
    const { id, state, version, updated_by_name: updatedBy, updated_at: updatedAt } = head
    const of = `${version} ${state} ${updatedAt}`
    const known = kept.get(id)
    const exercise =
      known?.of === of
        ? known.exercise
        : (upgradeExercise(JSON.parse(document.get(id)!.document)) as Exercise)
    // What an open transaction has written may yet be taken back.
    if (!mayBeTakenBack(db)) kept.set(id, { of, exercise })
    return { id, state, version, updatedBy, updatedAt, exercise }
  }
  const one = (head: Head | undefined) => head && read(head)

  return {
    all: () => all.all().map(read),
    /** All of them at once, to be asked by id: for lists. */
    lookup: (): ((id: number) => StoredExercise) => {
      const byHead = new Map(all.all().map((head) => [head.id, head]))
      return (id) => read(byHead.get(id)!)
    },
    /** Code and title alone. */
    heads: () => heads.all(),
    byId: (id: number) => one(byId.get(id)),
    byCode: (code: string) => one(byCode.get(code)),
    insert: (exercise: Exercise, by: number, now: string): number =>
      Number(insert.run(exercise.code, JSON.stringify(exercise), by, now).lastInsertRowid),
    /** False when somebody saved another version in between. */
    update: (id: number, version: number, exercise: Exercise, by: number, now: string): boolean =>
      update.run(exercise.code, JSON.stringify(exercise), by, now, id, version).changes === 1,
    markSet: (id: number, exercise: Exercise) => void markSet.run(JSON.stringify(exercise), id),
  }
}
