import { api, groupAsked, idOf } from '~~/server/http/api'
import { readyGroup } from '~~/server/services/group-ready'
import { groupMarks } from '~~/server/services/group-marks'

export default api(undefined, async ({ context, actor, event }) => {
  await readyGroup(context, actor, idOf(event), groupAsked(event))
  return groupMarks(context, actor, idOf(event), groupAsked(event))
})
