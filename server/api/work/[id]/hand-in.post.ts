import { ActRequest } from '#schemas/requests'
import { apiBeside, idOf } from '~~/server/http/api'
import { handInReadings } from '~~/server/services/hand-in'

export default apiBeside(ActRequest, ({ context, actor, event, body }) =>
  handInReadings(context, actor, idOf(event), body.version),
)
