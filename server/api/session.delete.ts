import { openApi } from '~~/server/http/api'
import { sessionOf } from '~~/server/http/session'

export default openApi(undefined, async ({ event }) => {
  await (await sessionOf(event)).clear()
})
