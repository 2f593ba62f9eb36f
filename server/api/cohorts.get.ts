import { api } from '~~/server/http/api'
import { listCohorts } from '~~/server/services/records'

export default api(undefined, ({ context, actor }) => listCohorts(context, actor))
