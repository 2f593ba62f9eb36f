import { BayCheckRequest } from '#schemas/planning-requests'
import { api } from '~~/server/http/api'
import { checkBay } from '~~/server/services/dates'

export default api(BayCheckRequest, ({ context, actor, body }) => checkBay(context, actor, body))
