import { api, idOf } from '~~/server/http/api'
import { showAccount } from '~~/server/services/accounts'

export default api(undefined, ({ context, actor, event }) => showAccount(context, actor, idOf(event)))
