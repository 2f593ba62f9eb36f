import { PermissionRequest } from '#schemas/requests'
import { api, idOf } from '~~/server/http/api'
import { decidePermission } from '~~/server/services/permission'

export default api(PermissionRequest, ({ context, actor, event, body }) =>
  decidePermission(context, actor, idOf(event), body),
)
