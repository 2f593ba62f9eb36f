import { api } from '~~/server/http/api'
import { showFirstSteps } from '~~/server/services/first-steps'

export default api(undefined, ({ context, actor }) => showFirstSteps(context, actor))
