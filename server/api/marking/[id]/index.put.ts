import { MarkingRequest } from '#schemas/requests'
import { api, idOf } from '~~/server/http/api'
import { saveMarking } from '~~/server/services/marking'

export default api(MarkingRequest, ({ context, actor, event, body }) =>
  saveMarking(context, actor, idOf(event), body),
)
