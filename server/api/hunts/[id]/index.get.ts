import { api, idOf } from '~~/server/http/api'
import { showFaultFinding } from '~~/server/services/fault-finding'

export default api(undefined, ({ context, actor, event }) => showFaultFinding(context, actor, idOf(event)))
