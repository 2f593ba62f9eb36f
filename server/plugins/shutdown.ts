import { endLooks } from '../looks/pool'
import { endStreams } from '../http/news'
import { closeDatabase, runningRepos } from '../http/runtime'
import { keepSessions } from '../services/sessions'

/** Requests under way get this long to end, ms; the whole is done within two seconds. */
const GRACE_MS = 1200

let isDown = false

/** What was kept in memory is written, the log merged, the file closed. */
function putAway(): void {
  if (isDown) return
  isDown = true
  keepSessions({ repos: runningRepos(), now: new Date().toISOString() })
  endLooks()
  closeDatabase()
}

/**
 * Told to stop, the server ends its streams at once, so that nothing holds it up; it puts everything away
 * when the last request has ended, or when the grace is over.
 */
export default defineNitroPlugin((nitro) => {
  nitro.hooks.hook('close', putAway)
  for (const signal of ['SIGTERM', 'SIGINT'] as const)
    process.once(signal, () => {
      endStreams()
      setTimeout(() => {
        putAway()
        process.exit(0)
      }, GRACE_MS)
    })
})
