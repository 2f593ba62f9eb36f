import { useIdle, useNow } from '@vueuse/core'

const MINUTE_MS = 60_000
/** Displays that nobody touches, and pages where nobody is signed in. */
const NEVER = ['/wall', '/sign-in', '/set-up', '/password']

/** Locks a page that nobody has touched for the centre's minutes; what was typed stays on it. */
export function useIdleLock(): void {
  const session = useSession()
  const { callOnce } = useApi()
  const route = useRoute()
  const lastTouch = useIdle(MINUTE_MS).lastActive
  const now = useNow({ interval: 10_000 })

  watch(now, () => {
    const minutes = session.lockMinutes
    if (minutes <= 0 || !session.person || session.isLocked || NEVER.includes(route.path)) return
    if (now.value.getTime() - lastTouch.value < minutes * MINUTE_MS) return
    session.isLocked = true
    // Without a network the page is locked all the same.
    void callOnce('POST', 'lock', {}).catch(() => undefined)
  })
}
