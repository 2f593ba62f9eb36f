import { setHeader } from 'h3'
import { api, idOf } from '~~/server/http/api'
import { bookList } from '~~/server/services/book-files'

export default api(undefined, ({ context, actor, event }) => {
  const id = idOf(event)
  const { document } = bookList(context, actor, id)
  setHeader(event, 'content-type', 'application/json; charset=utf-8')
  setHeader(event, 'content-disposition', `attachment; filename="book-list-${id}.json"`)
  return document
})
