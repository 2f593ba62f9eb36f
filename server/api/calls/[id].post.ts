import { CallAnswerRequest } from '#schemas/floor'
import { api, idOf } from '~~/server/http/api'
import { answerCall } from '~~/server/services/calls'

export default api(CallAnswerRequest, ({ context, actor, body, event }) =>
  answerCall(context, actor, idOf(event), body),
)
