import { getQuery } from 'h3'
import { api } from '~~/server/http/api'
import { questionsOfGroup } from '~~/server/services/question-statistics'

export default api(undefined, ({ context, actor, event }) =>
  questionsOfGroup(context, actor, String(getQuery(event).cohort ?? '')),
)
