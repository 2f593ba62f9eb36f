import { api } from '~~/server/http/api'
import { listDates } from '~~/server/services/dates'

export default api(undefined, ({ context, actor }) => listDates(context, actor))
