import { WorkRequest } from '#schemas/requests'
import { api, idOf } from '~~/server/http/api'
import { saveWork } from '~~/server/services/work-save'

export default api(WorkRequest, ({ context, actor, event, body }) =>
  saveWork(context, actor, idOf(event), body),
)
