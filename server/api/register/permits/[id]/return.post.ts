import { SignedRequest } from '#schemas/isolation-requests'
import { api, idOf } from '~~/server/http/api'
import { withTries } from '~~/server/http/tries'
import { returnPermit } from '~~/server/services/register'

export default api(SignedRequest, ({ context, actor, event, body }) =>
  withTries(`pin ${actor.id}`, () => returnPermit(context, actor, idOf(event), body.pin)),
)
