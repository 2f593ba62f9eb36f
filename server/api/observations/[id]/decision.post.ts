import { ObservationDecisionRequest } from '#schemas/isolation-requests'
import { api, idOf } from '~~/server/http/api'
import { limitTries } from '~~/server/http/tries'
import { decideObservation } from '~~/server/services/observations'

export default api(ObservationDecisionRequest, async ({ context, actor, event, body }) => {
  const forget = await limitTries(`observation ${idOf(event)}`)
  const decided = await decideObservation(context, actor, idOf(event), body)
  await forget()
  return decided
})
