import { PasswordRequest } from '#schemas/requests'
import { api } from '~~/server/http/api'
import { enter, sessionView } from '~~/server/http/session'
import { withTries } from '~~/server/http/tries'
import { changePassword } from '~~/server/services/sign-in'

export default api(
  PasswordRequest,
  async ({ context, actor, body, event }) => {
    const claim = await withTries(`password ${actor.id}`, () =>
      changePassword(context, actor, body.current, body.password),
    )
    enter(event, context, claim)
    return sessionView(context, claim)
  },
  { beforePasswordChange: true },
)
