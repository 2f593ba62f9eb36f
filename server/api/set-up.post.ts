import { SetUpRequest } from '#schemas/requests'
import { openApi } from '~~/server/http/api'
import { enter, sessionView } from '~~/server/http/session'
import { setUp } from '~~/server/services/sign-in'

export default openApi(SetUpRequest, async ({ context, body, event }) => {
  const claim = await setUp(context, body)
  enter(event, context, claim)
  return sessionView(context, claim)
})
