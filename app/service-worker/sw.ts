/* The offline shell: a page that is reloaded without a network opens all the same. It keeps scripts, styles and
fonts, never what the server says of people: that is kept by the page, by person, and gone at sign-out. */
import { cleanupOutdatedCaches, createHandlerBoundToURL, precacheAndRoute } from 'workbox-precaching'
import { NavigationRoute, registerRoute } from 'workbox-routing'

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

// A newer version waits until somebody says so: no page is taken away while somebody types.
self.addEventListener('message', (event) => {
  if ((event.data as { type?: string } | null)?.type === 'SKIP_WAITING') void self.skipWaiting()
})
