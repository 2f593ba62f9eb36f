import { PaperSignRequest } from '#schemas/paper-views'
import { api, idOf } from '~~/server/http/api'
import { limitTries } from '~~/server/http/tries'
import { signPaper } from '~~/server/services/papers'

export default api(PaperSignRequest, async ({ context, actor, event, body }) => {
  const forget = await limitTries(`paper ${idOf(event)}`)
  const signed = await signPaper(context, actor, idOf(event), body)
  await forget()
  return signed
})
