import type { Database } from 'better-sqlite3'
import type { Framework } from '#core/outcomes/framework'
import type { MeasuredZsPolicy } from '#core/exercise/task'
import type { Policies, PolicyChange } from '#schemas/views'

/** Eighty per cent is quick at the bay and on the safe side for usual temperatures. */
const DEFAULTS: Policies = { measuredZs: 'eighty-percent' }

export function createCentreRepo(db: Database) {
  const framework = db.prepare<[], { document: string }>('SELECT document FROM framework WHERE id = 1')
  const putFramework = db.prepare(
    'INSERT INTO framework (id, document) VALUES (1, ?) ON CONFLICT (id) DO UPDATE SET document = excluded.document',
  )
  const policy = db.prepare<[string], { value: string }>('SELECT value FROM policy WHERE key = ? ORDER BY id DESC LIMIT 1')
  const addPolicy = db.prepare('INSERT INTO policy (key, value, set_by, set_at) VALUES (?, ?, ?, ?)')
  const changes = db.prepare<[], PolicyChange>(
    'SELECT c.key, c.value, p.name AS by, c.set_at AS at FROM policy c JOIN person p ON p.id = c.set_by ORDER BY c.id DESC LIMIT 20',
  )

  return {
    framework: (): Framework | undefined => {
      const row = framework.get()
      return row && (JSON.parse(row.document) as Framework)
    },
    putFramework: (document: Framework) => void putFramework.run(JSON.stringify(document)),
    policies: (): Policies => ({ measuredZs: (policy.get('measuredZs')?.value as MeasuredZsPolicy | undefined) ?? DEFAULTS.measuredZs }),
    setPolicy: (key: keyof Policies, value: string, by: number, at: string) => void addPolicy.run(key, value, by, at),
    policyChanges: () => changes.all(),
  }
}
