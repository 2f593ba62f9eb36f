import { WitnessCodeRequest } from '#schemas/evidence-requests'
import { openApi } from '~~/server/http/api'
import { addressOf } from '~~/server/http/session'
import { showWitness } from '~~/server/services/witnesses'

export default openApi(WitnessCodeRequest, ({ context, body, event }) =>
  showWitness(context, body.code, addressOf(event)),
)
