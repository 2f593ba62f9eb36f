import { backUp, isBackupDue, mergeWritten } from '../http/keeping'
import { log } from '../http/log'
import { runningRepos } from '../http/runtime'
import { keepSessions } from '../services/sessions'

const MINUTE_MS = 60_000
const MERGE_MS = 10_000
/** The first look waits until the server has begun its day, ms. */
const FIRST_MS = 20_000

async function look(): Promise<void> {
  const now = new Date().toISOString()
  try {
    keepSessions({ repos: runningRepos(), now })
    if (isBackupDue(now)) await backUp(now)
  } catch (error) {
    // The administrator's page shows how old the last backup is.
    log.error(error, 'Keeping the data safe did not succeed')
  }
}

/** Where it does not succeed, the log grows until it does, or until a save merges it. */
const merge = (): Promise<void> =>
  mergeWritten().catch((error: unknown) =>
    log.error(error, 'Merging the log into the database did not succeed'),
  )

/**
 * Once a minute: when sessions were seen, and whether a backup is due. Every ten seconds: what was saved goes from the
 * log into the file.
 */
export default defineNitroPlugin((nitro) => {
  const first = setTimeout(() => void look(), FIRST_MS)
  const timer = setInterval(() => void look(), MINUTE_MS)
  const merging = setInterval(() => void merge(), MERGE_MS)
  nitro.hooks.hook('close', () => {
    clearInterval(merging)
    clearTimeout(first)
    clearInterval(timer)
  })
})
