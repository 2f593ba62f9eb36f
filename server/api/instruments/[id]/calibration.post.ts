import { CalibrationRequest } from '#schemas/schedule-requests'
import { api, idOf } from '~~/server/http/api'
import { calibrate } from '~~/server/services/instruments'

export default api(CalibrationRequest, ({ context, actor, body, event }) =>
  calibrate(context, actor, idOf(event), body),
)
