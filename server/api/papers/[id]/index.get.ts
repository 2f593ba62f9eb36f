import { api, idOf } from '~~/server/http/api'
import { showTestRecords } from '~~/server/services/test-records'

export default api(undefined, ({ context, actor, event }) => showTestRecords(context, actor, idOf(event)))
