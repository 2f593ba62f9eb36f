import { WitnessRequest } from '#schemas/evidence-requests'
import { api, idOf } from '~~/server/http/api'
import { askWitness } from '~~/server/services/witnesses'

export default api(WitnessRequest, ({ context, actor, body, event }) =>
  askWitness(context, actor, idOf(event), body),
)
