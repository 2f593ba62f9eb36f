import { seeing } from '#schemas/requests'
import { TrustRequest } from '#schemas/trust-views'
import { api } from '~~/server/http/api'
import { setTrust } from '~~/server/services/centre'

export default api(seeing(TrustRequest), ({ context, actor, body }) =>
  setTrust(context, actor, body.value, body.seen),
)
