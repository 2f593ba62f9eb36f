import { api, idOf } from '~~/server/http/api'
import { showPapers } from '~~/server/services/papers'

export default api(undefined, ({ context, actor, event }) => showPapers(context, actor, idOf(event)))
