import { api, idOf } from '~~/server/http/api'
import { showInspection } from '~~/server/services/inspections'

export default api(undefined, ({ context, actor, event }) => showInspection(context, actor, idOf(event)))
