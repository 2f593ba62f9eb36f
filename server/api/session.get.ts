import { openApi } from '~~/server/http/api'
import { sittingHere } from '~~/server/http/session'

export default openApi(undefined, ({ context, event }) => {
  const sitting = sittingHere(event, context)
  return {
    person: sitting?.person ?? null,
    isLocked: sitting?.session.isLocked ?? false,
    lockMinutes: context.repos.centre.trust().lockMinutes,
    needsSetUp: context.repos.people.isEmpty(),
  }
})
