import { api, idOf } from '~~/server/http/api'
import { ownCalls } from '~~/server/services/calls'

export default api(undefined, ({ context, actor, event }) => ownCalls(context, actor, idOf(event)))
