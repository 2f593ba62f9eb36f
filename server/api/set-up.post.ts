import { SetUpRequest } from '#schemas/requests'
import { openApi } from '~~/server/http/api'
import { sessionOf } from '~~/server/http/session'
import { personOf, setUp } from '~~/server/services/sign-in'

export default openApi(SetUpRequest, async ({ context, body, event }) => {
  const claim = await setUp(context, body)
  await (await sessionOf(event)).update({ ...claim })
  return { person: personOf(context, claim) ?? null, needsSetUp: false }
})
