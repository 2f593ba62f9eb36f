import { api } from '~~/server/http/api'
import { showBookInForce } from '~~/server/services/book'

export default api(undefined, ({ context, actor }) => showBookInForce(context, actor))
