import { PinRequest } from '#schemas/isolation-requests'
import { api } from '~~/server/http/api'
import { choosePin } from '~~/server/services/signatures'

export default api(PinRequest, ({ context, actor, body }) =>
  choosePin(context, actor, body.current, body.pin),
)
