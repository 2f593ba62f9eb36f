import { getQuery } from 'h3'
import { api } from '~~/server/http/api'
import { previewStarter } from '~~/server/services/starters'

export default api(undefined, ({ context, actor, event }) =>
  previewStarter(context, actor, String(getQuery(event).slip ?? '')),
)
