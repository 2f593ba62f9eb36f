import { api } from '~~/server/http/api'
import { showVerification } from '~~/server/services/verification'

export default api(undefined, ({ context, actor }) => showVerification(context, actor))
