import { api } from '~~/server/http/api'
import { lockSession } from '~~/server/services/proof'

export default api(undefined, ({ context, actor }) => lockSession(context, actor), { whileLocked: true })
