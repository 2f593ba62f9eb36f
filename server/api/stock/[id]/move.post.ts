import { DrumMoveRequest } from '#schemas/planning-requests'
import { api, idOf } from '~~/server/http/api'
import { moveDrum } from '~~/server/services/stock'

export default api(DrumMoveRequest, ({ context, actor, body, event }) =>
  moveDrum(context, actor, idOf(event), body),
)
