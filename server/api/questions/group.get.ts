import { getQuery } from 'h3'
import { GroupQuestionsRequest } from '#schemas/questions'
import { validate } from '#schemas/validate'
import { api } from '~~/server/http/api'
import { Problem } from '~~/server/services/problem'
import { questionsOfGroup } from '~~/server/services/question-statistics'

export default api(undefined, ({ context, actor, event }) => {
  const checked = validate(GroupQuestionsRequest, getQuery(event))
  if (!checked.ok) throw new Problem('bodyNotRight', { fields: checked.problems })
  return questionsOfGroup(context, actor, checked.value)
})
