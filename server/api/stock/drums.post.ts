import { DrumRequest } from '#schemas/planning-requests'
import { api } from '~~/server/http/api'
import { addDrum } from '~~/server/services/stock'

export default api(DrumRequest, ({ context, actor, body }) => addDrum(context, actor, body))
