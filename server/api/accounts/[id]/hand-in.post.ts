import { AccountHandInRequest } from '#schemas/evidence-requests'
import { api, idOf } from '~~/server/http/api'
import { handInAccount } from '~~/server/services/accounts'

export default api(AccountHandInRequest, ({ context, actor, body, event }) =>
  handInAccount(context, actor, idOf(event), body.version),
)
