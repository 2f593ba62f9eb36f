import { openApi } from '~~/server/http/api'
import { leave, personHere } from '~~/server/http/session'
import { mayLeave } from '~~/server/services/register'

export default openApi(undefined, ({ context, event }) => {
  const actor = personHere(event, context)
  if (actor) mayLeave(context, actor)
  leave(event, context)
})
