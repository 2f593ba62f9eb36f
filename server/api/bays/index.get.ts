import { api } from '~~/server/http/api'
import { listBays } from '~~/server/services/bays'

export default api(undefined, ({ context, actor }) => listBays(context, actor))
