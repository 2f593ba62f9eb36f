import { api } from '~~/server/http/api'
import { ownRecord } from '~~/server/services/records'

export default api(undefined, ({ context, actor }) => ownRecord(context, actor))
