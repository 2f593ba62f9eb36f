import { InspectionRequest } from '#schemas/workmanship-views'
import { api, idOf } from '~~/server/http/api'
import { saveInspection } from '~~/server/services/inspections'

export default api(InspectionRequest, ({ context, actor, body, event }) =>
  saveInspection(context, actor, idOf(event), body),
)
