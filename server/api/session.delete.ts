import { openApi } from '~~/server/http/api'
import { sessionOf } from '~~/server/http/session'
import { mayLeave } from '~~/server/services/register'
import { personOf } from '~~/server/services/sign-in'

export default openApi(undefined, async ({ context, event }) => {
  const session = await sessionOf(event)
  const actor = personOf(context, session.data)
  if (actor) mayLeave(context, actor)
  await session.clear()
})
