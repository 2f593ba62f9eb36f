import { setHeader } from 'h3'
import { api, idOf } from '~~/server/http/api'
import { readingsForm } from '~~/server/services/schedules'

export default api(undefined, ({ context, actor, event }) => {
  setHeader(event, 'content-type', 'text/csv; charset=utf-8')
  return readingsForm(context, actor, idOf(event))
})
