/** The least time between two looks, so that a room full of typing tablets does not keep one screen busy. */
const LEAST_MS = 600
/** Without a stream it is looked every so often. */
const POLL_MS = 4000

/** Calls `look` whenever the server says that something has changed, within a second; by polling where the stream is cut. */
export function useNews(look: () => void) {
  let stream: EventSource | undefined
  let timer: ReturnType<typeof setTimeout> | undefined
  let lastAt = 0
  let isCut = false

  function soon(): void {
    if (timer || document.hidden) return
    timer = setTimeout(
      () => {
        timer = undefined
        lastAt = Date.now()
        look()
      },
      Math.max(0, lastAt + LEAST_MS - Date.now()),
    )
  }
  const poll = setInterval(() => isCut && soon(), POLL_MS)
  const shown = () => !document.hidden && soon()

  onMounted(() => {
    stream = new EventSource('/api/news')
    let isFirst = true
    stream.addEventListener('message', () => {
      isCut = false
      // The page has just been read; what came between is seen with the next look.
      if (!isFirst) soon()
      else setTimeout(soon, LEAST_MS)
      isFirst = false
    })
    stream.addEventListener('error', () => (isCut = true))
    document.addEventListener('visibilitychange', shown)
  })
  onScopeDispose(() => {
    stream?.close()
    clearInterval(poll)
    clearTimeout(timer)
    document.removeEventListener('visibilitychange', shown)
  })
}
