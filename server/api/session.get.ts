import { openApi } from '~~/server/http/api'
import { isCollegeOffered } from '~~/server/http/college'
import { newsCount } from '~~/server/http/news'
import { sittingHere } from '~~/server/http/session'

export default openApi(undefined, ({ context, event }) => {
  const sitting = sittingHere(event, context)
  return {
    person: sitting?.person ?? null,
    isLocked: sitting?.session.isLocked ?? false,
    lockMinutes: context.repos.centre.trust().lockMinutes,
    isCollegeOffered: isCollegeOffered(),
    news: newsCount(),
    needsSetUp: context.repos.people.isEmpty(),
  }
})
