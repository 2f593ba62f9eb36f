import { BayRequest } from '#schemas/requests'
import { api, keyOf } from '~~/server/http/api'
import { saveBay } from '~~/server/services/bays'

export default api(BayRequest, ({ context, actor, event, body }) =>
  saveBay(context, actor, keyOf(event), body),
)
