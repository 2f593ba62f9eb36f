import { BookAgreeRequest } from '#schemas/book-requests'
import { api } from '~~/server/http/api'
import { agreeBookValue } from '~~/server/services/book'

export default api(BookAgreeRequest, ({ context, actor, body }) => agreeBookValue(context, actor, body))
