import { FaultFindingStartRequest } from '#schemas/fault-finding-views'
import { api } from '~~/server/http/api'
import { startFaultFinding } from '~~/server/services/fault-finding-set'

export default api(FaultFindingStartRequest, ({ context, actor, body }) =>
  startFaultFinding(context, actor, body),
)
