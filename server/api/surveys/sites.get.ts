import { api } from '~~/server/http/api'
import { listSites } from '~~/server/services/sites'

export default api(undefined, ({ context, actor }) => listSites(context, actor))
