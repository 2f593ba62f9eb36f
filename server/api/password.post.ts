import { PasswordRequest } from '#schemas/requests'
import { api } from '~~/server/http/api'
import { sessionOf } from '~~/server/http/session'
import { withTries } from '~~/server/http/tries'
import { changePassword, personOf } from '~~/server/services/sign-in'

export default api(
  PasswordRequest,
  async ({ context, actor, body, event }) => {
    const claim = await withTries(`password ${actor.id}`, () =>
      changePassword(context, actor, body.current, body.password),
    )
    await (await sessionOf(event)).update({ ...claim })
    return { person: personOf(context, claim) ?? null, needsSetUp: false }
  },
  { beforePasswordChange: true },
)
