import { api } from '~~/server/http/api'
import { ownNeeds } from '~~/server/services/needs'

export default api(undefined, ({ context, actor }) => ownNeeds(context, actor))
