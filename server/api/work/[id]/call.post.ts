import { CallRequest } from '#schemas/floor'
import { api, idOf } from '~~/server/http/api'
import { callOver } from '~~/server/services/calls'

export default api(CallRequest, ({ context, actor, body, event }) =>
  callOver(context, actor, idOf(event), body.kind),
)
