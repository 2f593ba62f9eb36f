import { HuntStepRequest } from '#schemas/hunt-views'
import { api, idOf } from '~~/server/http/api'
import { stepHunt } from '~~/server/services/fault-finding'

export default api(HuntStepRequest, ({ context, actor, body, event }) =>
  stepHunt(context, actor, idOf(event), body),
)
