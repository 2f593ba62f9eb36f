import { getQuery } from 'h3'
import { api } from '~~/server/http/api'
import { closingProblem } from '~~/server/services/closing'

export default api(undefined, ({ context, actor, event }) =>
  closingProblem(context, actor, String(getQuery(event).cohort ?? '')),
)
