import { DiscussionRequest } from '#schemas/evidence-requests'
import { api, idOf } from '~~/server/http/api'
import { discussClaim } from '~~/server/services/accounts'

export default api(DiscussionRequest, ({ context, actor, body, event }) =>
  discussClaim(context, actor, idOf(event), body),
)
