import { api } from '~~/server/http/api'
import { listStores } from '~~/server/services/stores'

export default api(undefined, ({ context, actor }) => listStores(context, actor))
