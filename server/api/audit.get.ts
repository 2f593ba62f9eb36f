import { getQuery } from 'h3'
import { AuditQueryRequest } from '#schemas/trust-views'
import { validate } from '#schemas/validate'
import { api } from '~~/server/http/api'
import { showAudit } from '~~/server/services/audit'
import { Problem } from '~~/server/services/problem'

export default api(undefined, ({ context, actor, event }) => {
  const { before, ...words } = getQuery(event)
  const checked = validate(
    AuditQueryRequest,
    before === undefined ? words : { ...words, before: Number(before) },
  )
  if (!checked.ok) throw new Problem('bodyNotRight', { fields: checked.problems })
  return showAudit(context, actor, checked.value)
})
