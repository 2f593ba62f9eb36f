import { FaultFindingStepRequest } from '#schemas/fault-finding-views'
import { api, idOf } from '~~/server/http/api'
import { stepFaultFinding } from '~~/server/services/fault-finding'

export default api(FaultFindingStepRequest, ({ context, actor, body, event }) =>
  stepFaultFinding(context, actor, idOf(event), body),
)
