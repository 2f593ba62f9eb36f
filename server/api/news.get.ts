import { createEventStream, getHeader, getQuery } from 'h3'
import { api } from '~~/server/http/api'
import { newsCount, onNews, onStreamsEnd, type News } from '~~/server/http/news'

/** A stream that says when to look again. Whoever has seen less than has been told since is told at once. */
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
  const seen = getHeader(event, 'last-event-id') ?? getQuery(event).seen
  if (seen === undefined || seen !== String(newsCount())) push({ count: newsCount(), writers: [] })
  // A stream counts as open once something has come: a word that no page listens to.
  else void stream.push({ event: 'nothingMissed', data: '' })
  return stream.send()
})
