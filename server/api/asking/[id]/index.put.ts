import { RoundRequest } from '#schemas/questions'
import { api, idOf } from '~~/server/http/api'
import { saveRound } from '~~/server/services/question-rounds'

export default api(RoundRequest, ({ context, actor, event, body }) =>
  saveRound(context, actor, idOf(event), body),
)
