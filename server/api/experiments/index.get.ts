import { api } from '~~/server/http/api'
import { listExperiments } from '~~/server/services/experiments'

export default api(undefined, ({ context, actor }) => listExperiments(context, actor))
