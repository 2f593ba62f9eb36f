import { api, keyOf } from '~~/server/http/api'
import { wiredBay } from '~~/server/services/bays'

export default api(undefined, ({ context, actor, event }) => wiredBay(context, actor, keyOf(event)))
