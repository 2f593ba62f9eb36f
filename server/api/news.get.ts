import { createEventStream, getHeader } from 'h3'
import { api } from '~~/server/http/api'
import { newsCount, onNews, onStreamsEnd, type News } from '~~/server/http/news'

/** A stream that says when to look again. Whoever comes back with an older count is told at once. */
export default api(undefined, ({ event }) => {
  const stream = createEventStream(event)
  const push = (news: News) => void stream.push({ id: String(news.count), data: JSON.stringify(news) })
  const stop = onNews(push)
  const forget = onStreamsEnd(() => void stream.close())
  stream.onClosed(async () => {
    stop()
    forget()
    await stream.close()
  })
  const seen = getHeader(event, 'last-event-id')
  if (seen === undefined || seen !== String(newsCount())) push({ count: newsCount(), writers: [] })
  return stream.send()
})
