import { ObservationDecisionRequest } from '#schemas/isolation-requests'
import { api, idOf } from '~~/server/http/api'
import { decideObservation } from '~~/server/services/observations'

export default api(ObservationDecisionRequest, ({ context, actor, event, body }) =>
  decideObservation(context, actor, idOf(event), body),
)
