import { BookCompareRequest } from '#schemas/book-requests'
import { api } from '~~/server/http/api'
import { withProgress } from '~~/server/http/progress'
import { compareBooks } from '~~/server/services/book-compare'

export default api(BookCompareRequest, ({ context, actor, body }) =>
  withProgress(context.session?.id, (tell) => compareBooks(context, actor, body, tell)),
)
