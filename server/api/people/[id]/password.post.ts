import { api, idOf } from '~~/server/http/api'
import { resetPassword } from '~~/server/services/people'

export default api(undefined, ({ context, actor, event }) => resetPassword(context, actor, idOf(event)))
