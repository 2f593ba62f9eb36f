import { PolicyRequest } from '#schemas/requests'
import { api } from '~~/server/http/api'
import { setPolicy } from '~~/server/services/centre'

export default api(PolicyRequest, ({ context, actor, body }) =>
  setPolicy(context, actor, body.value, body.seen),
)
