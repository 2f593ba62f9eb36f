import { getQuery } from 'h3'
import { api } from '~~/server/http/api'
import { download } from '~~/server/http/download'
import { unitReport } from '~~/server/services/outputs'

export default api(undefined, ({ context, actor, event }) => {
  const { cohort = '', unit = '' } = getQuery(event)
  return download(event, unitReport(context, actor, String(cohort), String(unit)))
})
