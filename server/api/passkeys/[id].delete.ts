import { api, idOf } from '~~/server/http/api'
import { removePasskey } from '~~/server/services/passkeys'

export default api(undefined, ({ context, actor, event }) => removePasskey(context, actor, idOf(event)))
