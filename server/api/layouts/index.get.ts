import { api } from '~~/server/http/api'
import { listLayouts } from '~~/server/services/layouts'

export default api(undefined, ({ context, actor }) => listLayouts(context, actor))
