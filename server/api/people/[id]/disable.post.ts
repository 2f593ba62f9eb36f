import { api, idOf } from '~~/server/http/api'
import { disablePerson } from '~~/server/services/leavers'

export default api(undefined, ({ context, actor, event }) => disablePerson(context, actor, idOf(event)))
