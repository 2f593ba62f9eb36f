import { api } from '~~/server/http/api'
import { isolationHome } from '~~/server/services/isolation-runs'

export default api(undefined, ({ context, actor }) => isolationHome(context, actor))
