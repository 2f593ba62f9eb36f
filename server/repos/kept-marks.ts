import type { Database } from 'better-sqlite3'
import type { Shown } from '#core/assessment/outcomes/shows'

/** What a sheet comes to. */
export interface MarkSummary {
  readonly mark: number
  readonly outOf: number
  readonly critical: number
  readonly overrides: number
  readonly met: boolean
  /** What the work was made of; null where a decision does not say. */
  readonly shown: Shown | null
}

/** What sheets come to, kept with the version that it belongs to. */
export function createKeptMarksRepo(db: Database) {
  const put = db.prepare(
    `INSERT INTO kept_mark (attempt_id, version, mark, out_of, critical, overrides, met, shown)
     VALUES (?, ?, ?, ?, ?, ?, ?, ?)
     ON CONFLICT (attempt_id) DO UPDATE SET version = excluded.version, mark = excluded.mark,
       out_of = excluded.out_of, critical = excluded.critical, overrides = excluded.overrides, met = excluded.met,
       shown = excluded.shown`,
  )
  return {
    put: (attemptId: number, version: string, summary: MarkSummary): void => {
      const { mark, outOf, critical, overrides, met, shown } = summary
      const said = shown ? JSON.stringify(shown) : null
      put.run(attemptId, version, mark, outOf, critical, overrides, met ? 1 : 0, said)
    },
  }
}
