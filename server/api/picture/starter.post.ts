import { StarterRequest } from '#schemas/planning-requests'
import { api } from '~~/server/http/api'
import { setStarter } from '~~/server/services/starters'

export default api(StarterRequest, ({ context, actor, body }) => setStarter(context, actor, body))
