import type { Database } from 'better-sqlite3'
import type { Framework } from '#core/assessment/outcomes/framework'
import { upgradeFramework, type FormerFramework } from '#core/assessment/outcomes/upgrade-framework'
import { DEFAULT_ISOLATION, type IsolationPolicy } from '#core/policies/isolation'
import { DEFAULT_POLICY, type Policy } from '#core/policies/policy'
import { DEFAULT_QUESTIONS, type QuestionPolicy } from '#core/policies/questions'
import { DEFAULT_TRUST, type TrustPolicy } from '#core/policies/trust'
import type { FrameworkVersion } from '#schemas/evidence-views'
import type { PolicyChange } from '#schemas/views'

/** Shares and tolerances are numbers; everything else is a word. */
const fromText = <K extends keyof Policy>(key: K, text: string): Policy[K] =>
  (typeof DEFAULT_POLICY[key] === 'number' ? Number(text) : text) as Policy[K]

/** Codes of the version before, and what took their place; null for nothing. */
export type CriterionMapping = Readonly<Record<string, string | null>>
interface FrameworkChange {
  readonly mapping?: CriterionMapping
  readonly by?: number | null
  readonly at?: string
}
const mapped = (step: CriterionMapping, code: string): string | null =>
  code in step ? (step[code] ?? null) : code

const statementsOf = (db: Database) => ({
  framework: db.prepare<[], { id: number; document: string }>(
    'SELECT id, document FROM framework_version ORDER BY id DESC LIMIT 1',
  ),
  putFramework: db.prepare(
    'INSERT INTO framework_version (document, mapping, put_by, put_at) VALUES (?, ?, ?, ?)',
  ),
  mappings: db.prepare<[], { mapping: string }>('SELECT mapping FROM framework_version ORDER BY id'),
  versions: db.prepare<[], FrameworkVersion>(
    `SELECT f.id, json_extract(f.document, '$.title') AS title, p.name AS by, f.put_at AS at
     FROM framework_version f LEFT JOIN person p ON p.id = f.put_by ORDER BY f.id DESC`,
  ),
  evidenced: db.prepare<[], { criterion: string }>(
    // Every code that a framework has ever had, looked up: the record itself is a million lines long.
    `WITH code (criterion) AS (
       SELECT DISTINCT json_extract(c.value, '$.code') FROM framework_version f
         JOIN json_each(f.document, '$.units') u JOIN json_each(u.value, '$.criteria') c)
     SELECT criterion FROM code WHERE EXISTS (SELECT 1 FROM occasion o WHERE o.criterion = code.criterion)
       OR EXISTS (SELECT 1 FROM observation_occasion o WHERE o.criterion = code.criterion)
       OR EXISTS (SELECT 1 FROM run_occasion o WHERE o.criterion = code.criterion)
       OR EXISTS (SELECT 1 FROM question_occasion o WHERE o.criterion = code.criterion)
       OR EXISTS (SELECT 1 FROM claim_decision o WHERE o.criterion = code.criterion)`,
  ),
  policy: db.prepare<[string], { value: string }>(
    'SELECT value FROM policy WHERE key = ? ORDER BY id DESC LIMIT 1',
  ),
  addPolicy: db.prepare('INSERT INTO policy (key, value, set_by, set_at) VALUES (?, ?, ?, ?)'),
  changes: db.prepare<[], PolicyChange>(
    'SELECT c.key, c.value, p.name AS by, c.set_at AS at FROM policy c JOIN person p ON p.id = c.set_by ORDER BY c.id DESC LIMIT 20',
  ),
})

export function createCentreRepo(db: Database) {
  const sql = statementsOf(db)
  let read: { readonly id: number; readonly framework: Framework } | null = null

  /** What was chosen of these, and the usual for the rest. */
  const under = <P extends object>(prefix: string, usual: P): P => {
    const chosen = Object.entries(usual).flatMap(([key, value]) => {
      const row = sql.policy.get(`${prefix}.${key}`)
      return row ? [[key, typeof value === 'number' ? Number(row.value) : row.value]] : []
    })
    return { ...usual, ...Object.fromEntries(chosen) }
  }

  return {
    /** The framework in force; a version that was read once is kept. */
    framework: (): Framework | undefined => {
      const row = sql.framework.get()
      if (row && row.id !== read?.id)
        read = { id: row.id, framework: upgradeFramework(JSON.parse(row.document)) }
      return row && read!.framework
    },
    /** Which version is in force; 0 before the first. */
    frameworkId: (): number => sql.framework.get()?.id ?? 0,
    putFramework: (
      document: Framework | FormerFramework,
      { mapping = {}, by = null, at = '' }: FrameworkChange = {},
    ): void => void sql.putFramework.run(JSON.stringify(document), JSON.stringify(mapping), by, at),
    /** Every criterion that an occasion speaks of, by the code that it had then. */
    evidencedCriteria: (): string[] => sql.evidenced.all().map(({ criterion }) => criterion),
    frameworkVersions: (): FrameworkVersion[] => sql.versions.all(),
    /** What became of a criterion's code over all versions; null where it counts for nothing now. */
    presentCriterion: (): ((code: string) => string | null) => {
      const steps = sql.mappings.all().map(({ mapping }) => JSON.parse(mapping) as CriterionMapping)
      return (code) =>
        steps.reduce<string | null>((now, step) => (now === null ? null : mapped(step, now)), code)
    },
    policies: (): Policy => {
      const chosen = (Object.keys(DEFAULT_POLICY) as (keyof Policy)[]).flatMap((key) => {
        const row = sql.policy.get(key)
        return row ? [[key, fromText(key, row.value)]] : []
      })
      return { ...DEFAULT_POLICY, ...Object.fromEntries(chosen) }
    },
    setPolicy: (key: keyof Policy, value: string, by: number, at: string) =>
      void sql.addPolicy.run(key, value, by, at),
    /** Choices about safe isolation stand in the same table, under `isolation.` and their name. */
    isolation: (): IsolationPolicy => under('isolation', DEFAULT_ISOLATION),
    setIsolation: (key: keyof IsolationPolicy, value: string, by: number, at: string) =>
      void sql.addPolicy.run(`isolation.${key}`, value, by, at),
    /** How the centre guards and keeps things stands there too, under `trust.`. */
    trust: (): TrustPolicy => under('trust', DEFAULT_TRUST),
    setTrust: (key: keyof TrustPolicy, value: string, by: number, at: string) =>
      void sql.addPolicy.run(`trust.${key}`, value, by, at),
    /** And how it asks questions, under `question.`. */
    questions: (): QuestionPolicy => under('question', DEFAULT_QUESTIONS),
    setQuestions: (key: keyof QuestionPolicy, value: string, by: number, at: string) =>
      void sql.addPolicy.run(`question.${key}`, value, by, at),
    policyChanges: () => sql.changes.all(),
  }
}
