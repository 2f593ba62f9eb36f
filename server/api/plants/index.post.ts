import { PlantRequest } from '#schemas/hunt-views'
import { api } from '~~/server/http/api'
import { plantHunt } from '~~/server/services/fault-finding-set'

export default api(PlantRequest, ({ context, actor, body }) => plantHunt(context, actor, body))
