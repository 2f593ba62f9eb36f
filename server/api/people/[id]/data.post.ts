import { api, idOf } from '~~/server/http/api'
import { dataOfPerson } from '~~/server/services/leavers'

export default api(undefined, ({ context, actor, event }) => dataOfPerson(context, actor, idOf(event)))
