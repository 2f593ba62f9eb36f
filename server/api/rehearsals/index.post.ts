import { RehearsalRequest } from '#schemas/questions'
import { api } from '~~/server/http/api'
import { answerRehearsal } from '~~/server/services/question-rehearsals'

export default api(RehearsalRequest, ({ context, actor, body }) => answerRehearsal(context, actor, body))
