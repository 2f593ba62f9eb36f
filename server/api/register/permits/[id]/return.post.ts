import { SignedRequest } from '#schemas/isolation-requests'
import { api, idOf } from '~~/server/http/api'
import { limitTries } from '~~/server/http/tries'
import { returnPermit } from '~~/server/services/register'

export default api(SignedRequest, async ({ context, actor, event, body }) => {
  const forget = await limitTries(`pin ${actor.id}`)
  const permit = await returnPermit(context, actor, idOf(event), body.pin)
  await forget()
  return permit
})
