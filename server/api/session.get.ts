import { openApi } from '~~/server/http/api'
import { personHere } from '~~/server/http/session'

export default openApi(undefined, ({ context, event }) => ({
  person: personHere(event, context) ?? null,
  needsSetUp: context.repos.people.isEmpty(),
}))
