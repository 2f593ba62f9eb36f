import { api } from '~~/server/http/api'
import { listPredictions } from '~~/server/services/experiments'

export default api(undefined, ({ context, actor }) => listPredictions(context, actor))
