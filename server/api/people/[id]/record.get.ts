import { api, idOf } from '~~/server/http/api'
import { personRecord } from '~~/server/services/records'

export default api(undefined, ({ context, actor, event }) => personRecord(context, actor, idOf(event)))
