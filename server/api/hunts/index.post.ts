import { HuntStartRequest } from '#schemas/hunt-views'
import { api } from '~~/server/http/api'
import { startHunt } from '~~/server/services/hunts'

export default api(HuntStartRequest, ({ context, actor, body }) => startHunt(context, actor, body))
