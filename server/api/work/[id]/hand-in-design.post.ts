import { ActRequest } from '#schemas/requests'
import { api, idOf } from '~~/server/http/api'
import { handInDesign } from '~~/server/services/hand-in'

export default api(ActRequest, ({ context, actor, event, body }) =>
  handInDesign(context, actor, idOf(event), body.version),
)
