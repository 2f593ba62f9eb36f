import type { AuthenticationResponseJSON } from '@simplewebauthn/server'
import { PasskeyProofRequest } from '#schemas/trust-views'
import { api } from '~~/server/http/api'
import { webPlaceOf } from '~~/server/http/session'
import { proveByPasskey } from '~~/server/services/passkeys'

export default api(
  PasskeyProofRequest,
  async ({ context, actor, body, event }) => {
    const response = body.response as unknown as AuthenticationResponseJSON
    await proveByPasskey(context, actor, webPlaceOf(event), response)
  },
  { whileLocked: true },
)
