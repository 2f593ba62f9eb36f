import { api, idOf } from '~~/server/http/api'
import { showSession } from '~~/server/services/planning'

export default api(undefined, ({ context, actor, event }) => showSession(context, actor, idOf(event)))
