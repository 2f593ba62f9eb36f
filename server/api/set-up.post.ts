import { SetUpRequest } from '#schemas/requests'
import { openApi } from '~~/server/http/api'
import { enter } from '~~/server/http/session'
import { personOf, setUp } from '~~/server/services/sign-in'

export default openApi(SetUpRequest, async ({ context, body, event }) => {
  const claim = await setUp(context, body)
  enter(event, context, claim)
  return { person: personOf(context, claim) ?? null, needsSetUp: false }
})
