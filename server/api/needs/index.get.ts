import { api } from '~~/server/http/api'
import { showNeeds } from '~~/server/services/needs'

export default api(undefined, ({ context, actor }) => showNeeds(context, actor))
