import type { Role } from '#core/exercise/roster'
import { ApiProblem } from '~/utils/api-problem'
import { askEarly } from '~/utils/early-data'
import { homeOf } from '~/stores/session'

declare module 'vue-router' {
  interface RouteMeta {
    /** Roles for whom the page is; absent on pages for nobody in particular. */
    roles?: Role[]
    /** Anybody may open it, signed in or not. */
    isOpen?: boolean
  }
}

/** Asks who is signed in; where the server cannot say, whoever was so last. False where nobody can be. */
async function isSomebodyKnown(session: ReturnType<typeof useSession>): Promise<boolean> {
  if (session.isKnown) return true
  try {
    session.take(await useApi().callOnce('GET', 'session', undefined))
    return true
  } catch (error) {
    const isRefused = error instanceof ApiProblem && error.code !== 'offline' && error.status < 500
    return !isRefused && session.takeRemembered()
  }
}

/** Sends everybody where they belong: set-up first, then sign-in, then their own pages. The server checks again. */
export default defineNuxtRouteMiddleware(async (to) => {
  if (to.meta.isOpen) return
  const session = useSession()
  if (!(await isSomebodyKnown(session))) return to.path === '/sign-in' ? undefined : navigateTo('/sign-in')
  if (session.needsSetUp) return to.path === '/set-up' ? undefined : navigateTo('/set-up')
  if (to.path === '/set-up') return navigateTo('/')
  if (!session.person) return to.path === '/sign-in' ? undefined : navigateTo('/sign-in')
  if (session.person.mustChange) return to.path === '/password' ? undefined : navigateTo('/password')
  const home = homeOf(session.person.role)
  if (to.path === '/' || to.path === '/sign-in') return navigateTo(home)
  if (to.meta.roles && !to.meta.roles.includes(session.person.role)) return navigateTo(home)
  askEarly(to.path, session.person.id)
})
