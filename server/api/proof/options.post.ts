import { api } from '~~/server/http/api'
import { webPlaceOf } from '~~/server/http/session'
import { proofOptions } from '~~/server/services/passkeys'

export default api(
  undefined,
  ({ context, actor, event }) => proofOptions(context, actor, webPlaceOf(event)),
  { whileLocked: true },
)
