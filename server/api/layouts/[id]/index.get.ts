import { api, idOf } from '~~/server/http/api'
import { showLayout } from '~~/server/services/layouts'

export default api(undefined, ({ context, actor, event }) => showLayout(context, actor, idOf(event)))
