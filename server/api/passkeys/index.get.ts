import { api } from '~~/server/http/api'
import { listPasskeys } from '~~/server/services/passkeys'

export default api(undefined, ({ context, actor }) => listPasskeys(context, actor))
