import { api, idOf } from '~~/server/http/api'
import { restoreLayout } from '~~/server/services/layouts'

export default api(undefined, ({ context, actor, event }) => restoreLayout(context, actor, idOf(event)))
