import { InspectionRequest } from '#schemas/workmanship-views'
import { apiBeside, idOf } from '~~/server/http/api'
import { saveInspection } from '~~/server/services/inspections'

export default apiBeside(InspectionRequest, ({ context, actor, body, event }) =>
  saveInspection(context, actor, idOf(event), body),
)
