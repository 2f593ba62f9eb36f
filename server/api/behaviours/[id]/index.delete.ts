import { api, idOf } from '~~/server/http/api'
import { undoBehaviour } from '~~/server/services/behaviours'

export default api(undefined, ({ context, actor, event }) => undoBehaviour(context, actor, idOf(event)))
