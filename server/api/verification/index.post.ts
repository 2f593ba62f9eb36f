import { SecondMarkingRequest } from '#schemas/evidence-requests'
import { api } from '~~/server/http/api'
import { judgeSecond } from '~~/server/services/verification'

export default api(SecondMarkingRequest, ({ context, actor, body }) => judgeSecond(context, actor, body))
