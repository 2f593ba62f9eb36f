import { api, idOf } from '~~/server/http/api'
import { endFaultFinding } from '~~/server/services/fault-finding'

export default api(undefined, ({ context, actor, event }) => endFaultFinding(context, actor, idOf(event)))
