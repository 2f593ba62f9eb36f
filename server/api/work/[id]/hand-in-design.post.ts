import { ActRequest } from '#schemas/requests'
import { api, idOf } from '~~/server/http/api'
import { handInDesign } from '~~/server/services/work'

export default api(ActRequest, ({ context, actor, event, body }) =>
  handInDesign(context, actor, idOf(event), body.version),
)
