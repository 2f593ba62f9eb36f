import { RunFieldsRequest } from '#schemas/workmanship-views'
import { api, idOf } from '~~/server/http/api'
import { saveMeasurement } from '~~/server/services/runs'

export default api(RunFieldsRequest, ({ context, actor, body, event }) =>
  saveMeasurement(context, actor, idOf(event), body),
)
