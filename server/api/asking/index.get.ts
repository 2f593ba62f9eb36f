import { api } from '~~/server/http/api'
import { listRounds } from '~~/server/services/question-rounds'

export default api(undefined, ({ context, actor }) => listRounds(context, actor))
