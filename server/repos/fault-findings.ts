import type { Database } from 'better-sqlite3'
import type { FaultFindingVerdict } from '#core/testing/fault-finding/judge'
import type { FaultFindingStep } from '#core/testing/fault-finding/steps'
import type { Fault } from '#core/bay/faults/fault'
import type { Rig } from '#core/bay/model/rig'

export interface FaultFinding {
  readonly id: number
  readonly personId: number
  readonly personName: string
  /** Who set it; null for practice of one's own. */
  readonly setBy: string | null
  readonly madeAt: string
  readonly place: 'virtual' | 'bay'
  readonly bay: number | null
  readonly title: string
  /** As it was meant. */
  readonly rig: Rig
  readonly faults: readonly Fault[]
  readonly log: readonly FaultFindingStep[]
  readonly verdict: FaultFindingVerdict | null
  readonly endedAt: string | null
  readonly version: number
}

interface Row {
  id: number
  person_id: number
  person: string
  setter: string | null
  made_at: string
  place: 'virtual' | 'bay'
  bay: number | null
  title: string
  rig: string
  faults: string
  log: string
  verdict: string | null
  ended_at: string | null
  version: number
}

const SELECT =
  'SELECT h.*, p.name AS person, s.name AS setter FROM fault_hunt h JOIN person p ON p.id = h.person_id LEFT JOIN person s ON s.id = h.set_by'
const toFaultFinding = (row: Row): FaultFinding => ({
  id: row.id,
  personId: row.person_id,
  personName: row.person,
  setBy: row.setter,
  madeAt: row.made_at,
  place: row.place,
  bay: row.bay,
  title: row.title,
  rig: JSON.parse(row.rig),
  faults: JSON.parse(row.faults),
  log: JSON.parse(row.log),
  verdict: row.verdict === null ? null : JSON.parse(row.verdict),
  endedAt: row.ended_at,
  version: row.version,
})

/** Searches for planted faults. */
export function createFaultFindingsRepo(db: Database) {
  const byId = db.prepare<[number], Row>(`${SELECT} WHERE h.id = ?`)
  const byPerson = db.prepare<[number], Row>(`${SELECT} WHERE h.person_id = ? ORDER BY h.id DESC LIMIT 30`)
  const set = db.prepare<[], Row>(`${SELECT} WHERE h.set_by IS NOT NULL ORDER BY h.id DESC LIMIT 60`)
  const insert = db.prepare(
    'INSERT INTO fault_hunt (person_id, set_by, made_at, place, bay, title, rig, faults) VALUES (?, ?, ?, ?, ?, ?, ?, ?)',
  )
  const saveLog = db.prepare(
    'UPDATE fault_hunt SET log = ?, version = version + 1 WHERE id = ? AND version = ? AND ended_at IS NULL',
  )
  const end = db.prepare(
    'UPDATE fault_hunt SET ended_at = ?, verdict = ?, version = version + 1 WHERE id = ? AND ended_at IS NULL',
  )
  return {
    byId: (id: number) => {
      const row = byId.get(id)
      return row && toFaultFinding(row)
    },
    byPerson: (personId: number) => byPerson.all(personId).map(toFaultFinding),
    allSet: () => set.all().map(toFaultFinding),
    insert: (
      search: Pick<FaultFinding, 'personId' | 'place' | 'bay' | 'title' | 'rig' | 'faults' | 'madeAt'> & {
        readonly setBy: number | null
      },
    ): number =>
      Number(
        insert.run(
          search.personId,
          search.setBy,
          search.madeAt,
          search.place,
          search.bay,
          search.title,
          JSON.stringify(search.rig),
          JSON.stringify(search.faults),
        ).lastInsertRowid,
      ),
    /** False when another device went on in between, or it is over. */
    saveLog: (id: number, version: number, log: readonly FaultFindingStep[]): boolean =>
      saveLog.run(JSON.stringify(log), id, version).changes === 1,
    end: (id: number, at: string, verdict: FaultFindingVerdict): boolean =>
      end.run(at, JSON.stringify(verdict), id).changes === 1,
  }
}
