import { QuestionRequest } from '#schemas/questions'
import { api } from '~~/server/http/api'
import { saveQuestion } from '~~/server/services/question-bank'

export default api(QuestionRequest, ({ context, actor, body }) => saveQuestion(context, actor, body))
