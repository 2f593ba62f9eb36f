import { api } from '~~/server/http/api'
import { showStock } from '~~/server/services/stock'

export default api(undefined, ({ context, actor }) => showStock(context, actor))
