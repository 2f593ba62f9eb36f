import { api, idOf } from '~~/server/http/api'
import { showObservation } from '~~/server/services/observations'

export default api(undefined, ({ context, actor, event }) => showObservation(context, actor, idOf(event)))
