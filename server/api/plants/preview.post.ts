import { PlantPreviewRequest } from '#schemas/hunt-views'
import { api } from '~~/server/http/api'
import { previewHunt } from '~~/server/services/fault-finding-set'

export default api(PlantPreviewRequest, ({ context, actor, body }) => previewHunt(context, actor, body))
