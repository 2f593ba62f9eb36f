import { AppealRequest } from '#schemas/evidence-requests'
import { api, idOf } from '~~/server/http/api'
import { makeAppeal } from '~~/server/services/appeals'

export default api(AppealRequest, ({ context, actor, body, event }) =>
  makeAppeal(context, actor, idOf(event), body.reason),
)
