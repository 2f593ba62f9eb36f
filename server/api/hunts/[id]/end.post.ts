import { api, idOf } from '~~/server/http/api'
import { endHunt } from '~~/server/services/fault-finding'

export default api(undefined, ({ context, actor, event }) => endHunt(context, actor, idOf(event)))
