import { BehaviourRequest } from '#schemas/evidence-requests'
import { api, idOf } from '~~/server/http/api'
import { seeBehaviour } from '~~/server/services/behaviours'

export default api(BehaviourRequest, ({ context, actor, body, event }) =>
  seeBehaviour(context, actor, idOf(event), body),
)
