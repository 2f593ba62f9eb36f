import { useDocumentVisibility, useEventSource, useIntervalFn, useTimeoutFn, whenever } from '@vueuse/core'
import { TAB } from './useApi'

/** The least time between two looks, so that a room full of typing tablets does not keep one screen busy. */
const LEAST_MS = 600
/** Without a stream it is looked every so often. */
const POLL_MS = 4000

interface News {
  readonly count: number
  readonly writers: readonly string[]
}

/** Does this news say anything that this tab does not know? Its own writing alone does not. */
export function isNewsTo(tab: string, text: string): boolean {
  try {
    const { writers } = JSON.parse(text) as News
    return !(writers.length === 1 && writers[0] === tab)
  } catch {
    return true
  }
}

/** Calls `look` whenever the server says that something has changed, within a second; by polling where the stream is cut. */
export function useNews(look: () => void) {
  const visibility = useDocumentVisibility()
  const { data, status } = useEventSource('/api/news', [], { autoReconnect: { delay: POLL_MS } })
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

  watch(data, (text) => text !== null && isNewsTo(TAB, text) && soon())
  useIntervalFn(() => status.value !== 'OPEN' && soon(), POLL_MS)
  whenever(
    () => visibility.value === 'visible',
    () => isOwed && soon(),
  )
}
