import { api, idOf } from '~~/server/http/api'
import { removeSession } from '~~/server/services/planning'

export default api(undefined, ({ context, actor, event }) => removeSession(context, actor, idOf(event)))
