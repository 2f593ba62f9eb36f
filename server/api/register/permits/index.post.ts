import { PermitRequest } from '#schemas/isolation-requests'
import { api } from '~~/server/http/api'
import { limitTries } from '~~/server/http/tries'
import { issuePermit } from '~~/server/services/register'

export default api(PermitRequest, async ({ context, actor, body }) => {
  const forget = await limitTries(`pin ${actor.id}`)
  const permit = await issuePermit(context, actor, body)
  await forget()
  return permit
})
