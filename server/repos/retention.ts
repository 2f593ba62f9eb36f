import type { Database } from 'better-sqlite3'

/** Kinds of things that a centre keeps for a number of years. What certifies anything is not among them. */
export const KEPT_KINDS = ['practice', 'photographs', 'leavers'] as const
export type KeptKind = (typeof KEPT_KINDS)[number]

/** Practice: its table, and when a row was touched last. */
const PRACTICE: readonly (readonly [table: string, at: string])[] = [
  ['prediction', 'at'],
  ['layout_try', 'at'],
  ['isolation_run', 'started_at'],
  ['fault_hunt', 'made_at'],
  ['inspection_round', 'started_at'],
  ['question_rehearsed', 'at'],
]

/** Counts and removes what is older than the centre keeps it. */
export function createRetentionRepo(db: Database) {
  const practice = PRACTICE.map(([table, at]) => ({
    count: db.prepare<[string], { n: number }>(`SELECT count(*) AS n FROM ${table} WHERE ${at} < ?`),
    remove: db.prepare(`DELETE FROM ${table} WHERE ${at} < ?`),
  }))
  const photographs = db.prepare<[string], { n: number }>('SELECT count(*) AS n FROM photo WHERE made_at < ?')
  const removePhotographs = db.prepare('DELETE FROM photo WHERE made_at < ?')
  const leavers = db.prepare<[string], { id: number }>(
    'SELECT id FROM person WHERE disabled_at < ? AND erased_at IS NULL ORDER BY id',
  )
  const begin = db.prepare("INSERT INTO removing (kind) VALUES ('practice')")
  const end = db.prepare('DELETE FROM removing')

  return {
    count: (kind: KeptKind, before: string): number => {
      if (kind === 'photographs') return photographs.get(before)!.n
      if (kind === 'leavers') return leavers.all(before).length
      return practice.reduce((sum, { count }) => sum + count.get(before)!.n, 0)
    },
    /** People who left before then and are still named. */
    leavers: (before: string): number[] => leavers.all(before).map(({ id }) => id),
    removePhotographs: (before: string): number => removePhotographs.run(before).changes,
    /** Inside a transaction alone: the tables are open for it and shut again. */
    removePractice: (before: string): number => {
      begin.run()
      const removed = practice.reduce((sum, { remove }) => sum + remove.run(before).changes, 0)
      end.run()
      return removed
    },
  }
}
