import { RoundStartRequest } from '#schemas/workmanship-views'
import { api } from '~~/server/http/api'
import { startRound } from '~~/server/services/inspections'

export default api(RoundStartRequest, ({ context, actor, body }) => startRound(context, actor, body.scene))
