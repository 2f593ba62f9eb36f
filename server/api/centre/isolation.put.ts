import { seeing } from '#schemas/requests'
import { IsolationPolicyRequest } from '#schemas/isolation-requests'
import { api } from '~~/server/http/api'
import { setIsolationPolicy } from '~~/server/services/centre'

export default api(seeing(IsolationPolicyRequest), ({ context, actor, body }) =>
  setIsolationPolicy(context, actor, body.value, body.seen),
)
