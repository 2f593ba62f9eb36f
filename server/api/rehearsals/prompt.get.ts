import { getQuery } from 'h3'
import { api } from '~~/server/http/api'
import { promptOf } from '~~/server/services/question-rehearsals'

export default api(undefined, ({ context, actor, event }) => {
  const { code, n } = getQuery(event)
  return promptOf(context, actor, String(code ?? ''), Number(n ?? 0))
})
