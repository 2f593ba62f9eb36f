import { getQuery } from 'h3'
import { api } from '~~/server/http/api'
import { sampleFramework } from '~~/server/services/frameworks'

export default api(undefined, ({ actor, event }) =>
  sampleFramework(actor, String(getQuery(event).name ?? '')),
)
