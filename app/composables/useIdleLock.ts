import { useIdle, useNow } from '@vueuse/core'
import { watch } from 'vue'
import type { useSession } from '~/stores/session'

const MINUTE_MS = 60_000
/** How often it is looked, and how exactly a touch is known to the other tabs, ms. */
const LOOK_MS = 10_000
const TOUCHED = 'nakshi-touched'
/** Displays that nobody touches, and pages where nobody is signed in. */
const NEVER = ['/wall', '/sign-in', '/set-up', '/password']

/**
 * Locks the session when nobody has touched any of its pages on this device for the centre's minutes; what was
 * typed stays. Without a network nothing is locked, since nothing could open it again at the bay.
 */
export function useIdleLock(
  session: ReturnType<typeof useSession>,
  { path, lock }: { readonly path: () => string; readonly lock: () => Promise<unknown> },
): void {
  const here = useIdle(MINUTE_MS).lastActive
  const now = useNow({ interval: LOOK_MS })
  const known = (): number => Number(localStorage.getItem(TOUCHED) ?? 0)
  /** In whichever tab. */
  function lastTouch(): number {
    if (here.value > known()) localStorage.setItem(TOUCHED, String(here.value))
    return Math.max(here.value, known())
  }

  watch(now, async () => {
    const minutes = session.lockMinutes
    if (minutes <= 0 || !session.person || session.isLocked || NEVER.includes(path())) return
    if (now.value.getTime() - lastTouch() < minutes * MINUTE_MS) return
    await lock().then(
      () => (session.isLocked = true),
      () => undefined,
    )
  })
}
