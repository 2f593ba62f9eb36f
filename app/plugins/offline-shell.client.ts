import { Workbox } from 'workbox-window'
import { holdTab } from '~/utils/tab'

/** A running page looks for a newer version so often, ms. */
const LOOK_MS = 10 * 60_000
/** Files are kept once the page stands, not while it is still being put together: so long after it has loaded, ms. */
const REST_MS = 3000

/** The page has loaded, has had time to be drawn, and has nothing else to do. */
async function untilAtRest(): Promise<void> {
  if (document.readyState !== 'complete')
    await new Promise((loaded) => addEventListener('load', loaded, { once: true }))
  await new Promise((rested) => setTimeout(rested, REST_MS))
  await new Promise<void>((idle) =>
    'requestIdleCallback' in window ? requestIdleCallback(() => idle(), { timeout: REST_MS }) : idle(),
  )
}

/** Keeps the app on the device, so that a page opens without a network, and says when a newer version is there. */
export default defineNuxtPlugin(() => {
  holdTab()
  if (import.meta.dev || !('serviceWorker' in navigator)) return
  const version = useNewerVersion()
  const workbox = new Workbox('/sw.js')
  workbox.addEventListener('waiting', () => version.offer(() => workbox.messageSkipWaiting()))
  workbox.addEventListener('controlling', (event) => event.isUpdate && version.isTaken && location.reload())
  // Where a device does not allow it (a plain network without https), everything else works as before.
  void untilAtRest()
    .then(() => workbox.register({ immediate: true }))
    .then(() => setInterval(() => void workbox.update().catch(() => undefined), LOOK_MS))
    .catch(() => undefined)
})
