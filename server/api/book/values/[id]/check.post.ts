import { api, idOf } from '~~/server/http/api'
import { checkBookValue } from '~~/server/services/book'

export default api(undefined, ({ context, actor, event }) => checkBookValue(context, actor, idOf(event)))
