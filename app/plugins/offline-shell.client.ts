import { Workbox } from 'workbox-window'
import { holdTab } from '~/utils/tab'

/** A running page looks for a newer version so often, ms. */
const LOOK_MS = 10 * 60_000

/** Keeps the app on the device, so that a page opens without a network, and says when a newer version is there. */
export default defineNuxtPlugin(() => {
  holdTab()
  if (import.meta.dev || !('serviceWorker' in navigator)) return
  const version = useNewerVersion()
  const workbox = new Workbox('/sw.js')
  workbox.addEventListener('waiting', () => version.offer(() => workbox.messageSkipWaiting()))
  workbox.addEventListener('controlling', (event) => event.isUpdate && version.isTaken && location.reload())
  // Where a device does not allow it (a plain network without https), everything else works as before.
  void workbox
    .register()
    .then(() => setInterval(() => void workbox.update().catch(() => undefined), LOOK_MS))
    .catch(() => undefined)
})
