import { getQuery } from 'h3'
import { api } from '~~/server/http/api'
import { showGlossary } from '~~/server/services/glossary'

export default api(undefined, ({ context, actor, event }) =>
  showGlossary(context, actor, String(getQuery(event).language ?? '')),
)
