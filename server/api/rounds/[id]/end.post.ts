import { RoundEndRequest } from '#schemas/workmanship-views'
import { api, idOf } from '~~/server/http/api'
import { endRound } from '~~/server/services/inspections'

export default api(RoundEndRequest, ({ context, actor, body, event }) =>
  endRound(context, actor, idOf(event), body),
)
