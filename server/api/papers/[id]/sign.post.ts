import { PaperSignRequest } from '#schemas/paper-views'
import { api, idOf } from '~~/server/http/api'
import { withTries } from '~~/server/http/tries'
import { signPaper } from '~~/server/services/papers'

export default api(PaperSignRequest, ({ context, actor, event, body }) =>
  withTries(`paper ${idOf(event)}`, () => signPaper(context, actor, idOf(event), body)),
)
