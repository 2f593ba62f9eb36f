import { getQuery } from 'h3'
import { api } from '~~/server/http/api'
import { sessionsNow } from '~~/server/services/planning'

/** Day and time are those of the device that asks: it hangs in the workshop. */
export default api(undefined, ({ context, actor, event }) => {
  const { day, time } = getQuery(event)
  return sessionsNow(context, actor, { day: String(day ?? ''), time: String(time ?? '00:00') })
})
