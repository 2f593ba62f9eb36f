import { useDocumentVisibility, useIntervalFn, useTimeoutFn, whenever } from '@vueuse/core'

/** The least time between two looks, so that a room full of typing tablets does not keep one screen busy. */
const LEAST_MS = 600
/** Without a stream it is looked every so often. */
const POLL_MS = 4000

/**
 * Calls `look` whenever the server says that something has changed, within a second; by polling where the
 * stream is cut.
 */
export function useNews(look: () => void) {
  const news = useNewsStream()
  const visibility = useDocumentVisibility()
  let lastAt = 0
  let isOwed = false

  const { start, isPending } = useTimeoutFn(
    () => {
      lastAt = Date.now()
      isOwed = false
      look()
    },
    () => Math.max(0, lastAt + LEAST_MS - Date.now()),
    { immediate: false },
  )
  function soon(): void {
    if (visibility.value === 'hidden') isOwed = true
    else if (!isPending.value) start()
  }

  onScopeDispose(news.listen())
  watch(() => news.changes, soon)
  useIntervalFn(() => news.status !== 'OPEN' && soon(), POLL_MS)
  whenever(
    () => visibility.value === 'visible',
    () => isOwed && soon(),
  )
}
