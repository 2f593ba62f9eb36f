import { api, groupAsked, idOf } from '~~/server/http/api'
import { showStores } from '~~/server/services/stores'

export default api(undefined, ({ context, actor, event }) =>
  showStores(context, actor, idOf(event), groupAsked(event)),
)
