import { api, idOf } from '~~/server/http/api'
import { endRun } from '~~/server/services/isolation-runs'

export default api(undefined, ({ context, actor, event }) => endRun(context, actor, idOf(event)))
