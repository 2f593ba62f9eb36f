import { setResponseStatus } from 'h3'
import { openApi } from '~~/server/http/api'
import { healthOf } from '~~/server/http/keeping'

export default openApi(undefined, ({ context, event }) => {
  const health = healthOf(context.now)
  if (!health.ok) setResponseStatus(event, 503)
  return health
})
