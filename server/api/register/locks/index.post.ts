import { LockRequest } from '#schemas/isolation-requests'
import { api } from '~~/server/http/api'
import { putLock } from '~~/server/services/register'

export default api(LockRequest, ({ context, actor, body }) => putLock(context, actor, body))
