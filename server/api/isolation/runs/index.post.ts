import { StartRunRequest } from '#schemas/isolation-requests'
import { api } from '~~/server/http/api'
import { startRun } from '~~/server/services/isolation-runs'

export default api(StartRunRequest, ({ context, actor, body }) => startRun(context, actor, body))
