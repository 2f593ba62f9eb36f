import { api } from '~~/server/http/api'
import { showStores } from '~~/server/services/stores'

export default api(undefined, ({ context, actor }) => showStores(context, actor))
