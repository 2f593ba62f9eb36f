import { PlantPreviewRequest } from '#schemas/hunt-views'
import { api } from '~~/server/http/api'
import { previewHunt } from '~~/server/services/hunts'

export default api(PlantPreviewRequest, ({ context, actor, body }) => previewHunt(context, actor, body))
