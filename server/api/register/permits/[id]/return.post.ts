import { SignedRequest } from '#schemas/isolation-requests'
import { api, idOf } from '~~/server/http/api'
import { returnPermit } from '~~/server/services/register'

export default api(SignedRequest, ({ context, actor, event, body }) =>
  returnPermit(context, actor, idOf(event), body.pin),
)
