import { api } from '~~/server/http/api'
import { showRegister } from '~~/server/services/register'

export default api(undefined, ({ context, actor }) => showRegister(context, actor))
