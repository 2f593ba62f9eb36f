import { SignInRequest } from '#schemas/requests'
import { openApi } from '~~/server/http/api'
import { withSignInTries } from '~~/server/http/tries'
import { enter, sessionView } from '~~/server/http/session'
import { signIn } from '~~/server/services/sign-in'

export default openApi(SignInRequest, async ({ context, body, event }) => {
  const claim = await withSignInTries(event, body.number, () => signIn(context, body.number, body.password))
  enter(event, context, claim)
  return sessionView(context, claim)
})
