import { AppealAnswerRequest } from '#schemas/evidence-requests'
import { api, idOf } from '~~/server/http/api'
import { answerAppeal } from '~~/server/services/appeals'

export default api(AppealAnswerRequest, ({ context, actor, body, event }) =>
  answerAppeal(context, actor, idOf(event), body),
)
