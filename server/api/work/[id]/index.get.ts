import { api, idOf } from '~~/server/http/api'
import { showWork } from '~~/server/services/work'

export default api(undefined, ({ context, actor, event }) => showWork(context, actor, idOf(event)))
