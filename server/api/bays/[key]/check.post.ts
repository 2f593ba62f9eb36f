import { api, keyOf } from '~~/server/http/api'
import { checkBay } from '~~/server/services/bays'

export default api(undefined, ({ context, actor, event }) => checkBay(context, actor, keyOf(event)))
