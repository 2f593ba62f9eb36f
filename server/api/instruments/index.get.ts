import { api } from '~~/server/http/api'
import { listInstruments } from '~~/server/services/instruments'

export default api(undefined, ({ context, actor }) => listInstruments(context, actor))
