/* The offline shell: a page that is reloaded without a network opens all the same. It keeps scripts, styles and
fonts, never what the server says of people: that is kept by the page, by person, and gone at sign-out. */
import { cleanupOutdatedCaches, createHandlerBoundToURL, precacheAndRoute } from 'workbox-precaching'
import { NavigationRoute, registerRoute } from 'workbox-routing'
import { STAFF_CACHE } from './staff-cache'

declare const self: ServiceWorkerGlobalScope
/** Every file of this version that an apprentice's page may need; filled in by the build. */
declare const SHELL_FILES: { url: string; revision: string | null }[]

/** A page that the network has not brought by then is opened from the shell, ms. */
const PATIENCE_MS = 4000

precacheAndRoute(SHELL_FILES)
cleanupOutdatedCaches()

const shell = createHandlerBoundToURL('/')
registerRoute(
  new NavigationRoute(
    async (asked) => {
      try {
        const page = await fetch(asked.request, { signal: AbortSignal.timeout(PATIENCE_MS) })
        if (page.status < 500) return page
      } catch {
        // No network, or one that does not answer.
      }
      return shell(asked)
    },
    { denylist: [/^\/api\//, /\.[a-z0-9]+$/] },
  ),
)

// Scripts of staff pages come from the server, which asks who wants them; kept for a reload without a network.
registerRoute(
  ({ url }) => url.pathname.startsWith('/staff/'),
  async ({ request }) => {
    const kept = await caches.open(STAFF_CACHE)
    try {
      const script = await fetch(request)
      if (script.ok) await kept.put(request, script.clone())
      else if (script.status < 500) await kept.delete(request)
      return script
    } catch {
      return (await kept.match(request)) ?? Response.error()
    }
  },
)

// Pages that are open already are served too, so that the first visit is kept.
self.addEventListener('activate', (event) => {
  event.waitUntil(Promise.all([caches.delete(STAFF_CACHE), self.clients.claim()]))
})

// A newer version waits until somebody says so: no page is taken away while somebody types.
self.addEventListener('message', (event) => {
  if ((event.data as { type?: string } | null)?.type === 'SKIP_WAITING') void self.skipWaiting()
})
