import type { RegistrationResponseJSON } from '@simplewebauthn/server'
import { PasskeyRequest } from '#schemas/trust-views'
import { api } from '~~/server/http/api'
import { webPlaceOf } from '~~/server/http/session'
import { addPasskey } from '~~/server/services/passkeys'

export default api(PasskeyRequest, async ({ context, actor, body, event }) => {
  const response = body.response as unknown as RegistrationResponseJSON
  await addPasskey(context, actor, webPlaceOf(event), { name: body.name, response })
})
