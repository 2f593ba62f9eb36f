import { MarkingRequest } from '#schemas/requests'
import { apiBeside, idOf } from '~~/server/http/api'
import { saveMarking } from '~~/server/services/marking'

export default apiBeside(MarkingRequest, ({ context, actor, event, body }) =>
  saveMarking(context, actor, idOf(event), body),
)
