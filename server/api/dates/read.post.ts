import { CalendarFileRequest } from '#schemas/planning-requests'
import { api } from '~~/server/http/api'
import { readDays } from '~~/server/services/dates'

export default api(CalendarFileRequest, ({ context, actor, body }) =>
  readDays(context, actor, body.ics, process.env.NAKSHI_ZONE ?? 'Europe/London'),
)
