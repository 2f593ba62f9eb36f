import { QuestionPolicyRequest } from '#schemas/questions'
import { api } from '~~/server/http/api'
import { setQuestionPolicy } from '~~/server/services/question-bank'

export default api(QuestionPolicyRequest, ({ context, actor, body: { seen, ...policy } }) =>
  setQuestionPolicy(context, actor, policy, seen),
)
