import { api, idOf } from '~~/server/http/api'
import { closeMeasurement } from '~~/server/services/runs'

export default api(undefined, ({ context, actor, event }) => closeMeasurement(context, actor, idOf(event)))
