import { getRequestURL } from 'h3'
import { api, idOf } from '~~/server/http/api'
import { download } from '~~/server/http/download'
import { personArchive } from '~~/server/services/outputs'

export default api(undefined, ({ context, actor, event }) =>
  download(event, personArchive(context, actor, idOf(event), getRequestURL(event).origin)),
)
