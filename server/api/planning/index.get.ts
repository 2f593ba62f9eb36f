import { api } from '~~/server/http/api'
import { listSessions } from '~~/server/services/planning'

export default api(undefined, ({ context, actor }) => listSessions(context, actor))
