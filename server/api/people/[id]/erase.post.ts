import { EraseRequest } from '#schemas/trust-views'
import { api, idOf } from '~~/server/http/api'
import { erasePerson } from '~~/server/services/leavers'

export default api(EraseRequest, ({ context, actor, event, body }) =>
  erasePerson(context, actor, idOf(event), body.confirm),
)
