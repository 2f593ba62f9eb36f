import { api, idOf } from '~~/server/http/api'
import { showHunt } from '~~/server/services/fault-finding'

export default api(undefined, ({ context, actor, event }) => showHunt(context, actor, idOf(event)))
