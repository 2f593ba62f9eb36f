import { api, keyOf } from '~~/server/http/api'
import { showBay } from '~~/server/services/bays'

export default api(undefined, ({ context, actor, event }) => showBay(context, actor, keyOf(event)))
