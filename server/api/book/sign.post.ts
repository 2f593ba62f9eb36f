import { BookSignRequest } from '#schemas/book-requests'
import { api } from '~~/server/http/api'
import { signBookList } from '~~/server/services/book'

export default api(BookSignRequest, ({ context, actor, body }) => signBookList(context, actor, body))
