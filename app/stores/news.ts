import { useEventSource } from '@vueuse/core'
import { TAB } from '~/utils/tab'
import { isNewsTo } from '~/utils/news'

/** A stream that was cut is tried again after this, ms. */
const AGAIN_MS = 4000

/** The one stream of news of this tab, open while a screen listens. */
export const useNewsStream = defineStore('news', () => {
  const session = useSession()
  const listeners = ref(0)
  /** Grows with all that this tab has not written itself. */
  const changes = ref(0)
  const url = computed(() =>
    listeners.value > 0 && session.person ? `/api/news?seen=${session.newsSeen ?? ''}` : undefined,
  )
  const { data, status } = useEventSource(url, [], { autoReconnect: { delay: AGAIN_MS } })
  watch(data, (text) => {
    if (text !== null && isNewsTo(TAB, text)) changes.value += 1
  })

  /** Keeps the stream open; what is returned lets it go. */
  function listen(): () => void {
    listeners.value += 1
    return () => (listeners.value -= 1)
  }
  return { changes, status, listen }
})
