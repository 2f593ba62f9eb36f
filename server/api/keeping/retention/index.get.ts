import { api } from '~~/server/http/api'
import { listRetention } from '~~/server/services/retention'

export default api(undefined, ({ context, actor }) => listRetention(context, actor))
