import { MeasureStartRequest } from '#schemas/workmanship-views'
import { api, idOf } from '~~/server/http/api'
import { startMeasurement } from '~~/server/services/runs'

export default api(MeasureStartRequest, ({ context, actor, body, event }) =>
  startMeasurement(context, actor, idOf(event), body.personId),
)
