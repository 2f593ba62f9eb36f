import { MoveRequest } from '#schemas/isolation-requests'
import { api, idOf } from '~~/server/http/api'
import { moveRun } from '~~/server/services/isolation-runs'

export default api(MoveRequest, ({ context, actor, event, body }) =>
  moveRun(context, actor, idOf(event), body.version, body.move),
)
