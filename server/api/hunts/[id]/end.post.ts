import { api, idOf } from '~~/server/http/api'
import { endHunt } from '~~/server/services/hunts'

export default api(undefined, ({ context, actor, event }) => endHunt(context, actor, idOf(event)))
