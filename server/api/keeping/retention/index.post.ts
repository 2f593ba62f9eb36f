import { RetentionRequest } from '#schemas/trust-views'
import { api } from '~~/server/http/api'
import { removeOld } from '~~/server/services/retention'

export default api(RetentionRequest, ({ context, actor, body }) =>
  removeOld(context, actor, body.kind, body.count),
)
