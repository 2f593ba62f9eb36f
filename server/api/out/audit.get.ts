import { getQuery } from 'h3'
import { AuditQueryRequest } from '#schemas/trust-views'
import { validate } from '#schemas/validate'
import { api } from '~~/server/http/api'
import { download } from '~~/server/http/download'
import { exportAudit } from '~~/server/services/audit'
import { Problem } from '~~/server/services/problem'

export default api(undefined, ({ context, actor, event }) => {
  const checked = validate(AuditQueryRequest, getQuery(event))
  if (!checked.ok) throw new Problem('bodyNotRight', { fields: checked.problems })
  const content = exportAudit(context, actor, checked.value)
  return download(event, { name: 'audit.csv', type: 'text/csv; charset=utf-8', content })
})
