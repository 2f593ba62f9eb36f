import { PermitRequest } from '#schemas/isolation-requests'
import { api } from '~~/server/http/api'
import { withTries } from '~~/server/http/tries'
import { issuePermit } from '~~/server/services/register'

export default api(PermitRequest, ({ context, actor, body }) =>
  withTries(`pin ${actor.id}`, () => issuePermit(context, actor, body)),
)
