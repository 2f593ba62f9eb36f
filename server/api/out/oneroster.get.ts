import { api } from '~~/server/http/api'
import { download } from '~~/server/http/download'
import { oneRoster } from '~~/server/services/outputs'

export default api(undefined, ({ context, actor, event }) =>
  download(event, oneRoster(context, actor, process.env.NAKSHI_CENTRE ?? 'Training centre')),
)
