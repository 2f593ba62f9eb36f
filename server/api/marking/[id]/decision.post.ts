import { DecisionRequest } from '#schemas/requests'
import { api, idOf } from '~~/server/http/api'
import { decide } from '~~/server/services/marking'

export default api(DecisionRequest, ({ context, actor, event, body }) =>
  decide(context, actor, idOf(event), body),
)
