import { api, idOf } from '~~/server/http/api'
import { showMarking } from '~~/server/services/marking'

export default api(undefined, ({ context, actor, event }) => showMarking(context, actor, idOf(event)))
