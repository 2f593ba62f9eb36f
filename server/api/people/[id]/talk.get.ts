import { api, idOf } from '~~/server/http/api'
import { talkOf } from '~~/server/services/picture'

export default api(undefined, ({ context, actor, event }) => talkOf(context, actor, idOf(event)))
