import { api, groupAsked } from '~~/server/http/api'
import { listRounds } from '~~/server/services/question-rounds'

export default api(undefined, ({ context, actor, event }) => listRounds(context, actor, groupAsked(event)))
