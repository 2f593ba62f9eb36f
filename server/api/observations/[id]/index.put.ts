import { ObservationRequest } from '#schemas/isolation-requests'
import { api, idOf } from '~~/server/http/api'
import { saveObservation } from '~~/server/services/observations'

export default api(ObservationRequest, ({ context, actor, event, body }) =>
  saveObservation(context, actor, idOf(event), body),
)
