import { api } from '~~/server/http/api'
import { showCentre } from '~~/server/services/centre'

export default api(undefined, ({ context, actor }) => showCentre(context, actor))
