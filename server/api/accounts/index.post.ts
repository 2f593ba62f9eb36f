import { api } from '~~/server/http/api'
import { startAccount } from '~~/server/services/accounts'

export default api(undefined, ({ context, actor }) => startAccount(context, actor))
