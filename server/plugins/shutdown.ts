import { endStreams } from '../http/news'
import { closeDatabase, runningRepos } from '../http/runtime'
import { keepSessions } from '../services/sessions'

/** Requests under way get this long to end, ms; the whole is done well within two seconds. */
const GRACE_MS = 700

function goDown(): void {
  endStreams()
  setTimeout(() => {
    keepSessions({ repos: runningRepos(), now: new Date().toISOString() })
    closeDatabase()
    process.exit(0)
  }, GRACE_MS)
}

/** Told to stop, the server ends its streams at once, merges its log and goes. */
export default defineNitroPlugin(() => {
  for (const signal of ['SIGTERM', 'SIGINT'] as const) process.once(signal, goDown)
})
