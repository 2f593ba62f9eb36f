import type { Database } from 'better-sqlite3'
import type { Shown } from '#core/assessment/outcomes/shows'

/** What a sheet comes to. */
export interface MarkSummary {
  readonly mark: number
  readonly outOf: number
  readonly critical: number
  readonly overrides: number
  readonly met: boolean
  readonly criteria: number
  readonly unmet: number
  /** What the work was made of; null where a decision does not say. */
  readonly shown: Shown | null
}
/** What a summary belongs to: a decision, or a version of a sheet that is not decided. */
export type KeptFor = { readonly decisionId: number } | { readonly version: string }

/** What sheets come to, kept with what it belongs to. */
export function createKeptMarksRepo(db: Database) {
  const put = db.prepare(
    `INSERT INTO kept_mark
       (attempt_id, version, decision_id, mark, out_of, critical, overrides, met, criteria, unmet, shown)
     VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?)
     ON CONFLICT (attempt_id) DO UPDATE SET version = excluded.version, decision_id = excluded.decision_id,
       mark = excluded.mark, out_of = excluded.out_of, critical = excluded.critical, overrides = excluded.overrides,
       met = excluded.met, criteria = excluded.criteria, unmet = excluded.unmet, shown = excluded.shown`,
  )
  return {
    put: (attemptId: number, of: KeptFor, summary: MarkSummary): void => {
      const { mark, outOf, critical, overrides, met, criteria, unmet, shown } = summary
      const [version, decisionId] = 'version' in of ? [of.version, null] : ['', of.decisionId]
      const figures = [mark, outOf, critical, overrides, met ? 1 : 0, criteria, unmet]
      put.run(attemptId, version, decisionId, ...figures, shown ? JSON.stringify(shown) : null)
    },
  }
}
