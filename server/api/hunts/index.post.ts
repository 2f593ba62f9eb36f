import { HuntStartRequest } from '#schemas/hunt-views'
import { api } from '~~/server/http/api'
import { startHunt } from '~~/server/services/fault-finding-set'

export default api(HuntStartRequest, ({ context, actor, body }) => startHunt(context, actor, body))
