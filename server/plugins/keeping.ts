import { backUp, isBackupDue } from '../http/keeping'
import { log } from '../http/log'
import { runningRepos } from '../http/runtime'
import { keepSessions } from '../services/sessions'

const MINUTE_MS = 60_000
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

/** Once a minute: when sessions were seen, and whether a backup is due. */
export default defineNitroPlugin((nitro) => {
  const first = setTimeout(() => void look(), FIRST_MS)
  const timer = setInterval(() => void look(), MINUTE_MS)
  nitro.hooks.hook('close', () => {
    clearTimeout(first)
    clearInterval(timer)
  })
})
