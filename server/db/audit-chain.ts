import { createHash } from 'node:crypto'
import type { Database } from 'better-sqlite3'

/** What a line of the audit says. */
export interface AuditLine {
  readonly at: string
  readonly byId: number | null
  readonly action: string
  readonly subject: string
  readonly device: string
  readonly address: string
}

/** The link of a line: a hash of the link before it and of all that the line says. */
export const linkOf = (before: string, line: AuditLine): string =>
  createHash('sha256')
    .update(
      JSON.stringify([before, line.at, line.byId, line.action, line.subject, line.device, line.address]),
    )
    .digest('hex')

interface Row extends AuditLine {
  readonly id: number
  readonly chain: string
}

/** Where the chain of the audit breaks; undefined where it holds. Lines from before the chain are passed over. */
export function auditBreak(db: Database): string[] | undefined {
  const columns = db.prepare<[], { name: string }>("SELECT name FROM pragma_table_info('audit')").all()
  if (!columns.some(({ name }) => name === 'chain')) return undefined
  const lines = db.prepare<[], Row>(
    'SELECT id, at, by_id AS byId, action, subject, device, address, chain FROM audit ORDER BY id',
  )
  let before = ''
  let last = 0
  for (const line of lines.iterate()) {
    const isOld = line.chain === '' && before === ''
    // Numbers without a gap. Lines taken off the end show against the heads that are kept elsewhere.
    if (!isOld && before !== '' && line.id !== last + 1) return [`the audit has a gap before line ${line.id}`]
    if (!isOld && linkOf(before, line) !== line.chain) return [`line ${line.id} of the audit has changed`]
    if (!isOld) before = line.chain
    last = line.id
  }
  return undefined
}
