import { writeCsv } from '#schemas/csv'
import { auditWords } from '#words/audit'
import type { AuditQueryBody, AuditView } from '#schemas/trust-views'
import type { Person } from '../repos/people'
import { allow } from './access'
import type { Context } from './context'

/** So many lines at a time. */
const PAGE = 100

/** A file holds no more than so many lines. */
const MOST_IN_FILE = 20_000

/** The same lines as a table in CSV. */
export function exportAudit({ repos }: Context, actor: Person, query: AuditQueryBody): string {
  allow(actor, 'audit.see')
  const lines = repos.audit.list({ ...query, most: MOST_IN_FILE })
  return writeCsv(
    ['number', 'at', 'by', 'act', 'about', 'device', 'address'],
    lines.map(({ id, at, by, action, subject, device, address }) => [
      id,
      at,
      by ?? '',
      auditWords(action),
      subject,
      device,
      address,
    ]),
  )
}

/** Who did what, newest first. */
export function showAudit({ repos }: Context, actor: Person, query: AuditQueryBody): AuditView {
  allow(actor, 'audit.see')
  const lines = repos.audit.list({ ...query, most: PAGE + 1 })
  return { lines: lines.slice(0, PAGE), actions: repos.audit.actions(), isMore: lines.length > PAGE }
}
