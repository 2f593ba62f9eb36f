import { api, idOf } from '~~/server/http/api'
import { showRequest } from '~~/server/services/floor'

export default api(undefined, ({ context, actor, event }) => showRequest(context, actor, idOf(event)))
