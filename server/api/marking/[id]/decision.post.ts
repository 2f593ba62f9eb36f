import { DecisionRequest } from '#schemas/requests'
import { apiBeside, idOf } from '~~/server/http/api'
import { decide } from '~~/server/services/marking'

export default apiBeside(DecisionRequest, ({ context, actor, event, body }) =>
  decide(context, actor, idOf(event), body),
)
