import { getQuery } from 'h3'
import { EDITIONS } from '#core/regulations/editions'
import { api } from '~~/server/http/api'
import { showBook } from '~~/server/services/book'

export default api(undefined, ({ context, actor, event }) => {
  const { edition } = getQuery(event)
  return showBook(
    context,
    actor,
    EDITIONS.find((one) => one === edition),
  )
})
