import { ActRequest } from '#schemas/requests'
import { api, idOf } from '~~/server/http/api'
import { askPermission } from '~~/server/services/hand-in'

export default api(ActRequest, ({ context, actor, event, body }) =>
  askPermission(context, actor, idOf(event), body.version),
)
