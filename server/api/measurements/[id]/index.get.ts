import { api, idOf } from '~~/server/http/api'
import { showMeasurement } from '~~/server/services/runs'

export default api(undefined, ({ context, actor, event }) => showMeasurement(context, actor, idOf(event)))
