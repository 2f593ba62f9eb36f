import { StartObservationRequest } from '#schemas/isolation-requests'
import { api } from '~~/server/http/api'
import { startObservation } from '~~/server/services/observations'

export default api(StartObservationRequest, ({ context, actor, body }) =>
  startObservation(context, actor, body),
)
