import { api, groupAsked, idOf } from '~~/server/http/api'
import { groupMarks } from '~~/server/services/group-marks'

export default api(undefined, ({ context, actor, event }) =>
  groupMarks(context, actor, idOf(event), groupAsked(event)),
)
