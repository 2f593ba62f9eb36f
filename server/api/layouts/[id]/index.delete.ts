import { api, idOf } from '~~/server/http/api'
import { withdrawLayout } from '~~/server/services/layouts'

export default api(undefined, ({ context, actor, event }) => withdrawLayout(context, actor, idOf(event)))
