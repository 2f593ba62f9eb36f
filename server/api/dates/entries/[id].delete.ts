import { api, idOf } from '~~/server/http/api'
import { removeDay } from '~~/server/services/dates'

export default api(undefined, ({ context, actor, event }) => removeDay(context, actor, idOf(event)))
