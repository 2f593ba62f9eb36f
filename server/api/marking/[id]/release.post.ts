import { api, idOf } from '~~/server/http/api'
import { release } from '~~/server/services/marking'

export default api(undefined, ({ context, actor, event }) => release(context, actor, idOf(event)))
