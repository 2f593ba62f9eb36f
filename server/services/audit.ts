import type { AuditQueryBody, AuditView } from '#schemas/trust-views'
import type { Person } from '../repos/people'
import { allow } from './access'
import type { Context } from './context'

/** So many lines at a time. */
const PAGE = 100

/** Who did what, newest first. */
export function showAudit({ repos }: Context, actor: Person, query: AuditQueryBody): AuditView {
  allow(actor, 'audit.see')
  const lines = repos.audit.list({ ...query, most: PAGE + 1 })
  return { lines: lines.slice(0, PAGE), actions: repos.audit.actions(), isMore: lines.length > PAGE }
}
