import { api, idOf } from '~~/server/http/api'
import { showSchedule } from '~~/server/services/schedules'

export default api(undefined, ({ context, actor, event }) => showSchedule(context, actor, idOf(event)))
