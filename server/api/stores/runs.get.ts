import { api } from '~~/server/http/api'
import { storesOfRuns } from '~~/server/services/runs'

export default api(undefined, ({ context, actor }) => storesOfRuns(context, actor))
