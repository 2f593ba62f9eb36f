import { ReadingsFileRequest } from '#schemas/requests'
import { api, idOf } from '~~/server/http/api'
import { previewReadings } from '~~/server/services/schedules'

export default api(ReadingsFileRequest, ({ context, actor, body, event }) =>
  previewReadings(context, actor, idOf(event), body.text),
)
