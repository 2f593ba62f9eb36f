import { QuestionFileRequest } from '#schemas/questions'
import { api } from '~~/server/http/api'
import { importBank } from '~~/server/services/question-bank'

export default api(QuestionFileRequest, ({ context, actor, body }) => importBank(context, actor, body))
