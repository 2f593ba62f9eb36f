import { getQuery, getRequestURL } from 'h3'
import { api } from '~~/server/http/api'
import { download } from '~~/server/http/download'
import { groupStatements } from '~~/server/services/outputs'

export default api(undefined, ({ context, actor, event }) =>
  download(
    event,
    groupStatements(context, actor, String(getQuery(event).cohort ?? ''), getRequestURL(event).origin),
  ),
)
