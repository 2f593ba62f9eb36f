import { PinRequest } from '#schemas/isolation-requests'
import { api } from '~~/server/http/api'
import { withTries } from '~~/server/http/tries'
import { choosePin } from '~~/server/services/signatures'

export default api(PinRequest, ({ context, actor, body }) =>
  withTries(`password ${actor.id}`, () => choosePin(context, actor, body.current, body.pin)),
)
