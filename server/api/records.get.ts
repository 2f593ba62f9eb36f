import { getQuery } from 'h3'
import { api } from '~~/server/http/api'
import { groupRecord } from '~~/server/services/records'

export default api(undefined, ({ context, actor, event }) =>
  groupRecord(context, actor, String(getQuery(event).cohort ?? '')),
)
