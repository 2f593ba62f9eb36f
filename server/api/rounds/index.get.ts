import { api } from '~~/server/http/api'
import { listRounds } from '~~/server/services/inspections'

export default api(undefined, ({ context, actor }) => listRounds(context, actor))
