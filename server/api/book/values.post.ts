import { BookEntriesRequest } from '#schemas/book-requests'
import { api } from '~~/server/http/api'
import { enterBookValues } from '~~/server/services/book'

export default api(BookEntriesRequest, ({ context, actor, body }) =>
  enterBookValues(context, actor, body.entries),
)
