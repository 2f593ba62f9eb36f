import { OrderPointRequest } from '#schemas/planning-requests'
import { api } from '~~/server/http/api'
import { setOrderPoint } from '~~/server/services/stock'

export default api(OrderPointRequest, ({ context, actor, body }) => setOrderPoint(context, actor, body))
