import { api } from '~~/server/http/api'
import { listAccounts } from '~~/server/services/accounts'

export default api(undefined, ({ context, actor }) => listAccounts(context, actor))
