import { TrustRequest } from '#schemas/trust-views'
import { api } from '~~/server/http/api'
import { setTrust } from '~~/server/services/centre'

export default api(TrustRequest, ({ context, actor, body }) => setTrust(context, actor, body))
