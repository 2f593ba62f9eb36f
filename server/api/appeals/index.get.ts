import { api } from '~~/server/http/api'
import { listAppeals } from '~~/server/services/appeals'

export default api(undefined, ({ context, actor }) => listAppeals(context, actor))
