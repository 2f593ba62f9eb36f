import { api } from '~~/server/http/api'
import { showFramework } from '~~/server/services/frameworks'

export default api(undefined, ({ context, actor }) => showFramework(context, actor))
