import { api } from '~~/server/http/api'
import { markingPile } from '~~/server/services/marking'

export default api(undefined, ({ context, actor }) => markingPile(context, actor))
