import { RunFieldsRequest } from '#schemas/workmanship-views'
import { api, idOf } from '~~/server/http/api'
import { saveRun } from '~~/server/services/runs'

export default api(RunFieldsRequest, ({ context, actor, body, event }) =>
  saveRun(context, actor, idOf(event), body),
)
