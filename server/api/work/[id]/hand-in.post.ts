import { ActRequest } from '#schemas/requests'
import { api, idOf } from '~~/server/http/api'
import { handInReadings } from '~~/server/services/hand-in'

export default api(ActRequest, ({ context, actor, event, body }) =>
  handInReadings(context, actor, idOf(event), body.version),
)
