import { PredictionRequest } from '#schemas/requests'
import { api } from '~~/server/http/api'
import { predict } from '~~/server/services/experiments'

export default api(PredictionRequest, ({ context, actor, body }) => predict(context, actor, body))
