import { MeasureCloseRequest } from '#schemas/workmanship-views'
import { api, idOf } from '~~/server/http/api'
import { closeMeasurement } from '~~/server/services/runs'

export default api(MeasureCloseRequest, ({ context, actor, event, body }) =>
  closeMeasurement(context, actor, idOf(event), body),
)
