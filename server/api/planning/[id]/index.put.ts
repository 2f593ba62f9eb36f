import { SessionRequest } from '#schemas/planning-requests'
import { api, idOf } from '~~/server/http/api'
import { saveSession } from '~~/server/services/planning'

export default api(SessionRequest, ({ context, actor, body, event }) =>
  saveSession(context, actor, idOf(event), body),
)
