import { createEventStream, getHeader } from 'h3'
import { api } from '~~/server/http/api'
import { newsCount, onNews } from '~~/server/http/news'

/** A stream that says when to look again. Whoever comes back with an older count is told at once. */
export default api(undefined, ({ event }) => {
  const stream = createEventStream(event)
  const push = (count: number) => void stream.push({ id: String(count), data: String(count) })
  const stop = onNews(push)
  stream.onClosed(async () => {
    stop()
    await stream.close()
  })
  const seen = getHeader(event, 'last-event-id')
  if (seen === undefined || seen !== String(newsCount())) push(newsCount())
  return stream.send()
})
