import { PaperSaveRequest } from '#schemas/paper-views'
import { api, idOf } from '~~/server/http/api'
import { savePaper } from '~~/server/services/papers'

export default api(PaperSaveRequest, ({ context, actor, body, event }) =>
  savePaper(context, actor, idOf(event), body),
)
