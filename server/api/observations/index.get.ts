import { api } from '~~/server/http/api'
import { listObservations } from '~~/server/services/observations'

export default api(undefined, ({ context, actor }) => listObservations(context, actor))
