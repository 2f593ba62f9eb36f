import type { Role } from '#core/exercise/roster'
import { homeOf } from '~/stores/session'

declare module 'vue-router' {
  interface RouteMeta {
    /** Roles for whom the page is; absent on pages for nobody in particular. */
    roles?: Role[]
  }
}

/** Sends everybody where they belong: set-up first, then sign-in, then their own pages. The server checks again. */
export default defineNuxtRouteMiddleware(async (to) => {
  const session = useSession()
  if (!session.isKnown) {
    try {
      session.take(await useApi().callOnce('GET', 'session', undefined))
    } catch {
      return to.path === '/sign-in' ? undefined : navigateTo('/sign-in')
    }
  }
  if (session.needsSetUp) return to.path === '/set-up' ? undefined : navigateTo('/set-up')
  if (to.path === '/set-up') return navigateTo('/')
  if (!session.person) return to.path === '/sign-in' ? undefined : navigateTo('/sign-in')
  if (session.person.mustChange) return to.path === '/password' ? undefined : navigateTo('/password')
  const home = homeOf(session.person.role)
  if (to.path === '/' || to.path === '/sign-in') return navigateTo(home)
  if (to.meta.roles && !to.meta.roles.includes(session.person.role)) return navigateTo(home)
})
