import { apiBeside, idOf } from '~~/server/http/api'
import { showMarking } from '~~/server/services/marking'

export default apiBeside(undefined, ({ context, actor, event }) => showMarking(context, actor, idOf(event)))
