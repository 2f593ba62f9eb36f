import { MeasuredRequest } from '#schemas/requests'
import { api, idOf } from '~~/server/http/api'
import { addMeasured } from '~~/server/services/experiments'

export default api(MeasuredRequest, ({ context, actor, event, body }) =>
  addMeasured(context, actor, idOf(event), body.measured),
)
