import { apiBeside, idOf } from '~~/server/http/api'
import { showWhatIf } from '~~/server/services/question-rounds'

export default apiBeside(undefined, ({ context, actor, event }) => showWhatIf(context, actor, idOf(event)))
