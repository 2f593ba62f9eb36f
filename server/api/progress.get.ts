import { api } from '~~/server/http/api'
import { progressOf } from '~~/server/http/progress'

export default api(undefined, ({ context }) => progressOf(context.session?.id))
