import type { Database } from 'better-sqlite3'
import type { Framework } from '#core/assessment/outcomes/framework'
import { DEFAULT_ISOLATION, type IsolationPolicy } from '#core/policies/isolation'
import { DEFAULT_POLICY, type Policy } from '#core/policies/policy'
import { DEFAULT_QUESTIONS, type QuestionPolicy } from '#core/policies/questions'
import { DEFAULT_TRUST, type TrustPolicy } from '#core/policies/trust'
import type { PolicyChange } from '#schemas/views'

/** Shares and tolerances are numbers; everything else is a word. */
const fromText = <K extends keyof Policy>(key: K, text: string): Policy[K] =>
  (typeof DEFAULT_POLICY[key] === 'number' ? Number(text) : text) as Policy[K]

export function createCentreRepo(db: Database) {
  const framework = db.prepare<[], { document: string }>('SELECT document FROM framework WHERE id = 1')
  const putFramework = db.prepare(
    'INSERT INTO framework (id, document) VALUES (1, ?) ON CONFLICT (id) DO UPDATE SET document = excluded.document',
  )
  const policy = db.prepare<[string], { value: string }>(
    'SELECT value FROM policy WHERE key = ? ORDER BY id DESC LIMIT 1',
  )
  const addPolicy = db.prepare('INSERT INTO policy (key, value, set_by, set_at) VALUES (?, ?, ?, ?)')
  const changes = db.prepare<[], PolicyChange>(
    'SELECT c.key, c.value, p.name AS by, c.set_at AS at FROM policy c JOIN person p ON p.id = c.set_by ORDER BY c.id DESC LIMIT 20',
  )

  /** What was chosen of these, and the usual for the rest. */
  const under = <P extends object>(prefix: string, usual: P): P => {
    const chosen = Object.entries(usual).flatMap(([key, value]) => {
      const row = policy.get(`${prefix}.${key}`)
      return row ? [[key, typeof value === 'number' ? Number(row.value) : row.value]] : []
    })
    return { ...usual, ...Object.fromEntries(chosen) }
  }

  return {
    framework: (): Framework | undefined => {
      const row = framework.get()
      return row && (JSON.parse(row.document) as Framework)
    },
    putFramework: (document: Framework) => void putFramework.run(JSON.stringify(document)),
    policies: (): Policy => {
      const chosen = (Object.keys(DEFAULT_POLICY) as (keyof Policy)[]).flatMap((key) => {
        const row = policy.get(key)
        return row ? [[key, fromText(key, row.value)]] : []
      })
      return { ...DEFAULT_POLICY, ...Object.fromEntries(chosen) }
    },
    setPolicy: (key: keyof Policy, value: string, by: number, at: string) =>
      void addPolicy.run(key, value, by, at),
    /** Choices about safe isolation stand in the same table, under `isolation.` and their name. */
    isolation: (): IsolationPolicy => under('isolation', DEFAULT_ISOLATION),
    setIsolation: (key: keyof IsolationPolicy, value: string, by: number, at: string) =>
      void addPolicy.run(`isolation.${key}`, value, by, at),
    /** How the centre guards and keeps things stands there too, under `trust.`. */
    trust: (): TrustPolicy => under('trust', DEFAULT_TRUST),
    setTrust: (key: keyof TrustPolicy, value: string, by: number, at: string) =>
      void addPolicy.run(`trust.${key}`, value, by, at),
    /** And how it asks questions, under `question.`. */
    questions: (): QuestionPolicy => under('question', DEFAULT_QUESTIONS),
    setQuestions: (key: keyof QuestionPolicy, value: string, by: number, at: string) =>
      void addPolicy.run(`question.${key}`, value, by, at),
    policyChanges: () => changes.all(),
  }
}
