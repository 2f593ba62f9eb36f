import { api, idOf } from '~~/server/http/api'
import { retireInstrument } from '~~/server/services/instruments'

export default api(undefined, ({ context, actor, event }) => retireInstrument(context, actor, idOf(event)))
