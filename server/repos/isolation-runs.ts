import type { Database } from 'better-sqlite3'
import { upgradeIsolationPolicy, type IsolationPolicy } from '#core/policies/isolation'
import type { RunMode } from '#schemas/isolation-views'

export interface StoredRun {
  readonly id: number
  readonly personId: number
  readonly scenario: string
  readonly seed: number
  readonly mode: RunMode
  readonly policy: IsolationPolicy
  readonly moves: readonly string[]
  readonly state: 'running' | 'done'
  readonly met: boolean | null
  readonly startedAt: string
  readonly version: number
}

interface Row {
  id: number
  person_id: number
  scenario: string
  seed: number
  mode: RunMode
  policy: string
  moves: string
  state: 'running' | 'done'
  met: number | null
  started_at: string
  version: number
}

const toRun = (row: Row): StoredRun => ({
  id: row.id,
  personId: row.person_id,
  scenario: row.scenario,
  seed: row.seed,
  mode: row.mode,
  policy: upgradeIsolationPolicy(JSON.parse(row.policy)),
  moves: JSON.parse(row.moves),
  state: row.state,
  met: row.met === null ? null : row.met === 1,
  startedAt: row.started_at,
  version: row.version,
})

export function createIsolationRunsRepo(db: Database) {
  const byId = db.prepare<[number], Row>('SELECT * FROM isolation_run WHERE id = ?')
  const byPerson = db.prepare<[number], Row>(
    'SELECT * FROM isolation_run WHERE person_id = ? ORDER BY id DESC LIMIT 200',
  )
  const insert = db.prepare(
    'INSERT INTO isolation_run (person_id, scenario, seed, mode, policy, started_at) VALUES (?, ?, ?, ?, ?, ?)',
  )
  const move = db.prepare(
    "UPDATE isolation_run SET moves = ?, version = version + 1 WHERE id = ? AND version = ? AND state = 'running'",
  )
  const end = db.prepare(
    "UPDATE isolation_run SET state = 'done', met = ?, version = version + 1 WHERE id = ? AND state = 'running'",
  )

  return {
    byId: (id: number) => {
      const row = byId.get(id)
      return row && toRun(row)
    },
    byPerson: (personId: number) => byPerson.all(personId).map(toRun),
    insert: (
      run: Pick<StoredRun, 'personId' | 'scenario' | 'seed' | 'mode' | 'policy' | 'startedAt'>,
    ): number =>
      Number(
        insert.run(run.personId, run.scenario, run.seed, run.mode, JSON.stringify(run.policy), run.startedAt)
          .lastInsertRowid,
      ),
    /** False when another device moved on in between, or the run is over. */
    saveMoves: (id: number, version: number, moves: readonly string[]): boolean =>
      move.run(JSON.stringify(moves), id, version).changes === 1,
    end: (id: number, isMet: boolean): boolean => end.run(isMet ? 1 : 0, id).changes === 1,
  }
}
