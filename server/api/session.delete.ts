import { openApi } from '~~/server/http/api'
import { leave, sittingHere } from '~~/server/http/session'
import { mayLeave } from '~~/server/services/register'

export default openApi(undefined, ({ context, event }) => {
  const actor = sittingHere(event, context)?.person
  if (actor) mayLeave(context, actor)
  leave(event, context)
})
