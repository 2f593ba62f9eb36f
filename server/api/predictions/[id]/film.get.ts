import { api, idOf } from '~~/server/http/api'
import { filmOfPrediction } from '~~/server/services/experiments'

export default api(undefined, ({ context, actor, event }) => filmOfPrediction(context, actor, idOf(event)))
