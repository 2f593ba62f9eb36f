import { requestIdleCallback } from '#app/compat/idle-callback'

/** Fetches parts one after the other while the browser has nothing else to do; once for the whole application. */
let hasBegun = false
export function fetchWhenIdle(parts: readonly (() => Promise<unknown>)[]): void {
  if (hasBegun) return
  hasBegun = true
  onNuxtReady(async () => {
    for (const part of parts) {
      await new Promise<void>((done) => requestIdleCallback(() => done()))
      // Without a network it is fetched when it is asked for.
      await part().catch(() => undefined)
    }
  })
}
