import { api } from '~~/server/http/api'
import { listWork } from '~~/server/services/work'

export default api(undefined, ({ context, actor }) => listWork(context, actor))
