/** Not every browser tells when it has time. */
const whenIdle = (next: () => void): void => {
  if ('requestIdleCallback' in globalThis) requestIdleCallback(next)
  else setTimeout(next, 50)
}

let hasBegun = false
/** Fetches parts one after the other while the browser has nothing else to do; once for the whole application. */
export function fetchWhenIdle(parts: readonly (() => Promise<unknown>)[]): void {
  if (hasBegun) return
  hasBegun = true
  onNuxtReady(async () => {
    for (const part of parts) {
      await new Promise<void>((done) => whenIdle(() => done()))
      // Without a network it is fetched when it is asked for.
      await part().catch(() => undefined)
    }
  })
}
