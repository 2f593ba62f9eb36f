import { api, idOf } from '~~/server/http/api'
import { endSession } from '~~/server/services/sessions'

export default api(undefined, ({ context, actor, event }) => endSession(context, actor, idOf(event)))
