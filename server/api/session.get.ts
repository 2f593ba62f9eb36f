import { openApi } from '~~/server/http/api'
import { sessionOf } from '~~/server/http/session'
import { personOf } from '~~/server/services/sign-in'

export default openApi(undefined, async ({ context, event }) => {
  const session = await sessionOf(event)
  return { person: personOf(context, session.data) ?? null, needsSetUp: context.repos.people.isEmpty() }
})
