import { PlantPreviewRequest } from '#schemas/fault-finding-views'
import { api } from '~~/server/http/api'
import { previewFaultFinding } from '~~/server/services/fault-finding-set'

export default api(PlantPreviewRequest, ({ context, actor, body }) =>
  previewFaultFinding(context, actor, body),
)
