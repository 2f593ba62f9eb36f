import { api } from '~~/server/http/api'
import { listRuns } from '~~/server/services/runs'

export default api(undefined, ({ context, actor }) => listRuns(context, actor))
