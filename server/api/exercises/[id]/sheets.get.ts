import { api, groupAsked, idOf } from '~~/server/http/api'
import { taskSheets } from '~~/server/services/exercises'

export default api(undefined, ({ context, actor, event }) =>
  taskSheets(context, actor, idOf(event), groupAsked(event)),
)
