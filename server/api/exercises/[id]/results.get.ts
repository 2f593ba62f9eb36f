import { setHeader } from 'h3'
import { api, idOf } from '~~/server/http/api'
import { exportResults } from '~~/server/services/records'

export default api(undefined, ({ context, actor, event }) => {
  const { name, csv } = exportResults(context, actor, idOf(event))
  setHeader(event, 'content-type', 'text/csv; charset=utf-8')
  setHeader(event, 'content-disposition', `attachment; filename="${name}"`)
  return csv
})
