import { api, idOf } from '~~/server/http/api'
import { withdrawCall } from '~~/server/services/calls'

export default api(undefined, ({ context, actor, event }) => withdrawCall(context, actor, idOf(event)))
