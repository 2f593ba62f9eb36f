import { WitnessStatementRequest } from '#schemas/evidence-requests'
import { openApi } from '~~/server/http/api'
import { addressOf } from '~~/server/http/session'
import { stateWitness } from '~~/server/services/witnesses'

export default openApi(WitnessStatementRequest, ({ context, body, event }) =>
  stateWitness(context, body, addressOf(event)),
)
