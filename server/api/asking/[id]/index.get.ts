import { apiBeside, idOf } from '~~/server/http/api'
import { showRound } from '~~/server/services/question-rounds'

export default apiBeside(undefined, ({ context, actor, event }) => showRound(context, actor, idOf(event)))
