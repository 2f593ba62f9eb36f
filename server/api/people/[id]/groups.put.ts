import { GroupsRequest } from '#schemas/trust-views'
import { api, idOf } from '~~/server/http/api'
import { setGroups } from '~~/server/services/people'

export default api(GroupsRequest, ({ context, actor, event, body }) =>
  setGroups(context, actor, idOf(event), body.cohorts),
)
