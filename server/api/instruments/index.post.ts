import { InstrumentRequest } from '#schemas/schedule-requests'
import { api } from '~~/server/http/api'
import { addInstrument } from '~~/server/services/instruments'

export default api(InstrumentRequest, ({ context, actor, body }) => addInstrument(context, actor, body))
