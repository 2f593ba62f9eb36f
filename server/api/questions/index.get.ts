import { api } from '~~/server/http/api'
import { showBank } from '~~/server/services/question-bank'

export default api(undefined, ({ context, actor }) => showBank(context, actor))
