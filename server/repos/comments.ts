import type { Database } from 'better-sqlite3'
import type { StepKey } from '#core/design/model/step-keys'
import type { Comment } from '#schemas/marking-views'

export function createCommentsRepo(db: Database) {
  const all = db.prepare<[], Comment>(
    'SELECT id, text, step, uses FROM comment ORDER BY uses DESC, last_used_at DESC LIMIT 200',
  )
  const use = db.prepare(`
    INSERT INTO comment (text, step, written_by, last_used_at) VALUES (?, ?, ?, ?)
    ON CONFLICT (text) DO UPDATE SET uses = uses + 1, last_used_at = excluded.last_used_at`)

  return {
    /** The most used first. */
    all: () => all.all(),
    /** Remembers a sentence, or counts that it was used once more. */
    use: (text: string, step: StepKey | null, by: number, at: string) => void use.run(text, step, by, at),
  }
}
