import type { Database } from 'better-sqlite3'
import type { AuditItem } from '#schemas/trust-views'
import { linkOf, type AuditLine } from '../db/audit-chain'

/** From where an act came, as far as the server can tell. */
export interface Origin {
  readonly device: string
  readonly address: string
}
const NOWHERE: Origin = { device: '', address: '' }

/** What is looked for; everything is optional. */
export interface AuditQuery {
  readonly by?: string
  readonly action?: string
  readonly from?: string
  readonly to?: string
  /** Lines before this one. */
  readonly before?: number
  readonly most: number
}

/**
 * Who did what to whom, when and from where. Written, never changed; each line carries the hash of the one
 * before.
 */
export function createAuditRepo(db: Database) {
  const last = db.prepare<[], { chain: string; at: string }>(
    'SELECT chain, at FROM audit ORDER BY id DESC LIMIT 1',
  )
  const add = db.prepare(
    'INSERT INTO audit (at, by_id, action, subject, device, address, chain) VALUES (?, ?, ?, ?, ?, ?, ?)',
  )
  const list = db.prepare<unknown[], AuditItem>(
    `SELECT a.id, a.at, p.name AS by, a.action, a.subject, a.device, a.address
     FROM audit a LEFT JOIN person p ON p.id = a.by_id
     WHERE (@by = '' OR p.name LIKE '%' || @by || '%' OR p.number = @by)
       AND (@action = '' OR a.action = @action) AND (@from = '' OR a.at >= @from) AND (@to = '' OR a.at < @to)
       AND (@before = 0 OR a.id < @before)
     ORDER BY a.id DESC LIMIT @most`,
  )
  // From one action to the next by the index: there are dozens of them in a million lines.
  const actions = db.prepare<[], { action: string }>(`
    WITH RECURSIVE known (action) AS (
      SELECT min(action) FROM audit
      UNION ALL SELECT (SELECT min(action) FROM audit WHERE action > known.action) FROM known WHERE known.action IS NOT NULL)
    SELECT action FROM known WHERE action IS NOT NULL`)

  const append = db.transaction((line: AuditLine) => {
    const link = linkOf(last.get()?.chain ?? '', line)
    add.run(line.at, line.byId, line.action, line.subject, line.device, line.address, link)
  })
  const addFrom =
    (origin: Origin) =>
    (at: string, byId: number | null, action: string, subject: string): void =>
      append({ at, byId, action, subject, ...origin })

  const reading = {
    /** Newest first. */
    list: ({ by = '', action = '', from = '', to = '', before = 0, most }: AuditQuery): AuditItem[] =>
      list.all({ by, action, from, to, before, most }),
    actions: (): string[] => actions.all().map((row) => row.action),
    /** The link of the newest line; empty before the first. */
    head: (): string => last.get()?.chain ?? '',
  }
  /** The same audit for acts that come from there. */
  const from = (origin: Origin) => ({ ...reading, add: addFrom(origin), from })
  return from(NOWHERE)
}
