import { api, idOf } from '~~/server/http/api'
import { enablePerson } from '~~/server/services/leavers'

export default api(undefined, ({ context, actor, event }) => enablePerson(context, actor, idOf(event)))
