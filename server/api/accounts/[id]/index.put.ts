import { AccountRequest } from '#schemas/evidence-requests'
import { api, idOf } from '~~/server/http/api'
import { saveAccount } from '~~/server/services/accounts'

export default api(AccountRequest, ({ context, actor, body, event }) =>
  saveAccount(context, actor, idOf(event), body),
)
