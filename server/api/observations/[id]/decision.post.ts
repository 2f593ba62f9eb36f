import { ObservationDecisionRequest } from '#schemas/isolation-requests'
import { api, idOf } from '~~/server/http/api'
import { withTries } from '~~/server/http/tries'
import { decideObservation } from '~~/server/services/observations'

export default api(ObservationDecisionRequest, ({ context, actor, event, body }) =>
  withTries(`observation ${idOf(event)}`, () => decideObservation(context, actor, idOf(event), body)),
)
