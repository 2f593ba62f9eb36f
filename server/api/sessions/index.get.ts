import { api } from '~~/server/http/api'
import { listSessions } from '~~/server/services/sessions'

export default api(undefined, ({ context, actor }) => listSessions(context, actor))
