import { api, idOf } from '~~/server/http/api'
import { withdrawBookValue } from '~~/server/services/book'

export default api(undefined, ({ context, actor, event }) => withdrawBookValue(context, actor, idOf(event)))
