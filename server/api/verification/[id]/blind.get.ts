import { api, idOf } from '~~/server/http/api'
import { showBlind } from '~~/server/services/verification'

export default api(undefined, ({ context, actor, event }) => showBlind(context, actor, idOf(event)))
