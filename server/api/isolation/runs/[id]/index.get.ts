import { api, idOf } from '~~/server/http/api'
import { showRun } from '~~/server/services/isolation-runs'

export default api(undefined, ({ context, actor, event }) => showRun(context, actor, idOf(event)))
