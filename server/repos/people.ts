import type { Database } from 'better-sqlite3'
import type { Role } from '#core/exercise/roster'
import type { PersonView } from '#schemas/views'

export type Person = PersonView

export interface Credentials {
  readonly passwordHash: string
  readonly sessionEpoch: number
}

interface Row {
  id: number
  number: string
  name: string
  role: Role
  cohort: string
  must_change: number
  password_hash: string
  session_epoch: number
  disabled_at: string | null
}

const toPerson = (row: Row): Person & Credentials => ({
  id: row.id,
  number: row.number,
  name: row.name,
  role: row.role,
  cohort: row.cohort,
  mustChange: row.must_change === 1,
  isDisabled: row.disabled_at !== null,
  passwordHash: row.password_hash,
  sessionEpoch: row.session_epoch,
})

/** Groups that staff are named for. */
function grouping(db: Database) {
  const of = db.prepare<[number], { cohort: string }>(
    'SELECT cohort FROM staff_group WHERE person_id = ? ORDER BY cohort',
  )
  const all = db.prepare<[], { personId: number; cohort: string }>(
    'SELECT person_id AS personId, cohort FROM staff_group ORDER BY cohort',
  )
  const clear = db.prepare('DELETE FROM staff_group WHERE person_id = ?')
  const add = db.prepare('INSERT OR IGNORE INTO staff_group (person_id, cohort) VALUES (?, ?)')
  return {
    groupsOf: (id: number): string[] => of.all(id).map(({ cohort }) => cohort),
    allGroups: (): ReadonlyMap<number, readonly string[]> => {
      const groups = new Map<number, string[]>()
      for (const { personId, cohort } of all.all())
        groups.set(personId, [...(groups.get(personId) ?? []), cohort])
      return groups
    },
    setGroups: (id: number, cohorts: readonly string[]): void => {
      clear.run(id)
      for (const cohort of cohorts) add.run(id, cohort)
    },
  }
}

/** Of those who leave. */
function leaving(db: Database) {
  const setDisabled = db.prepare('UPDATE person SET disabled_at = ? WHERE id = ?')
  const state = db.prepare<[number], { disabledAt: string | null; erasedAt: string | null }>(
    'SELECT disabled_at AS disabledAt, erased_at AS erasedAt FROM person WHERE id = ?',
  )
  const erase = db.prepare(
    `UPDATE person SET number = 'former-' || id, name = 'Former ' || role || ' ' || id, cohort = '',
       password_hash = '', session_epoch = session_epoch + 1, erased_at = ? WHERE id = ?`,
  )
  return {
    setDisabled: (id: number, at: string | null) => void setDisabled.run(at, id),
    isDisabled: (id: number): boolean => state.get(id)?.disabledAt != null,
    isErased: (id: number): boolean => state.get(id)?.erasedAt != null,
    erase: (id: number, at: string) => void erase.run(at, id),
  }
}

export function createPeopleRepo(db: Database) {
  const insert = db.prepare(
    'INSERT INTO person (number, name, role, cohort, password_hash, must_change, created_at) VALUES (?, ?, ?, ?, ?, ?, ?)',
  )
  const byId = db.prepare<[number], Row>('SELECT * FROM person WHERE id = ?')
  const byNumber = db.prepare<[string], Row>('SELECT * FROM person WHERE number = ?')
  const all = db.prepare<[], Row>('SELECT * FROM person ORDER BY role, cohort, name')
  const inCohort = db.prepare<[string], Row>(
    "SELECT * FROM person WHERE cohort = ? AND role = 'apprentice' AND disabled_at IS NULL ORDER BY number",
  )
  const count = db.prepare<[], { n: number }>('SELECT count(*) AS n FROM person')
  const setPassword = db.prepare(
    'UPDATE person SET password_hash = ?, must_change = ?, session_epoch = session_epoch + 1 WHERE id = ?',
  )

  return {
    insert: (
      person: Omit<Person, 'id' | 'mustChange' | 'isDisabled'>,
      passwordHash: string,
      mustChange: boolean,
      now: string,
    ): number =>
      Number(
        insert.run(
          person.number,
          person.name,
          person.role,
          person.cohort,
          passwordHash,
          mustChange ? 1 : 0,
          now,
        ).lastInsertRowid,
      ),
    byId: (id: number) => map(byId.get(id)),
    byNumber: (number: string) => map(byNumber.get(number)),
    all: () => all.all().map(toPerson),
    inCohort: (cohort: string) => inCohort.all(cohort).map(toPerson),
    ...leaving(db),
    ...grouping(db),
    isEmpty: () => count.get()!.n === 0,
    setPassword: (id: number, hash: string, mustChange: boolean) =>
      void setPassword.run(hash, mustChange ? 1 : 0, id),
  }
}

const map = (row: Row | undefined) => (row ? toPerson(row) : undefined)
