import { api } from '~~/server/http/api'
import { webPlaceOf } from '~~/server/http/session'
import { newPasskeyOptions } from '~~/server/services/passkeys'

export default api(undefined, ({ context, actor, event }) =>
  newPasskeyOptions(context, actor, webPlaceOf(event)),
)
