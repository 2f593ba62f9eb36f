import { getQuery, setHeader } from 'h3'
import { api } from '~~/server/http/api'
import { exportBook } from '~~/server/services/book-files'

export default api(undefined, ({ context, actor, event }) => {
  const { name, mime, content } = exportBook(context, actor, getQuery(event).as === 'csv' ? 'csv' : 'json')
  setHeader(event, 'content-type', mime)
  setHeader(event, 'content-disposition', `attachment; filename="${name}"`)
  return content
})
