import { BookFileRequest } from '#schemas/book-requests'
import { api } from '~~/server/http/api'
import { importBook } from '~~/server/services/book-files'

export default api(BookFileRequest, ({ context, actor, body }) => importBook(context, actor, body))
