import { api, idOf } from '~~/server/http/api'
import { takeLockOff } from '~~/server/services/register'

export default api(undefined, ({ context, actor, event }) => takeLockOff(context, actor, idOf(event)))
