import { SessionStartRequest } from '#schemas/planning-requests'
import { api } from '~~/server/http/api'
import { startSession } from '~~/server/services/planning'

export default api(SessionStartRequest, ({ context, actor, body }) => startSession(context, actor, body))
