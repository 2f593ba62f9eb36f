import { SettleRequest } from '#schemas/evidence-requests'
import { api, idOf } from '~~/server/http/api'
import { settleSecond } from '~~/server/services/verification'

export default api(SettleRequest, ({ context, actor, body, event }) =>
  settleSecond(context, actor, idOf(event), body),
)
