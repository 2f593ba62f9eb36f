import { ClaimDecisionRequest } from '#schemas/evidence-requests'
import { api, idOf } from '~~/server/http/api'
import { decideClaim } from '~~/server/services/accounts'

export default api(ClaimDecisionRequest, ({ context, actor, body, event }) =>
  decideClaim(context, actor, idOf(event), body),
)
