import { PlantRequest } from '#schemas/fault-finding-views'
import { api } from '~~/server/http/api'
import { plantFaultFinding } from '~~/server/services/fault-finding-set'

export default api(PlantRequest, ({ context, actor, body }) => plantFaultFinding(context, actor, body))
