import { getRequestIP } from 'h3'
import { SignInRequest } from '#schemas/requests'
import { openApi } from '~~/server/http/api'
import { withTries } from '~~/server/http/tries'
import { sessionOf } from '~~/server/http/session'
import { personOf, signIn } from '~~/server/services/sign-in'

export default openApi(SignInRequest, async ({ context, body, event }) => {
  const who = `${getRequestIP(event) ?? ''}/${body.number.trim().toLowerCase()}`
  const claim = await withTries(who, () => signIn(context, body.number, body.password))
  await (await sessionOf(event)).update({ ...claim })
  return { person: personOf(context, claim) ?? null, needsSetUp: false }
})
