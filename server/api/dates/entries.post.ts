import { CalendarEntriesRequest } from '#schemas/planning-requests'
import { api } from '~~/server/http/api'
import { keepDays } from '~~/server/services/dates'

export default api(CalendarEntriesRequest, ({ context, actor, body }) => keepDays(context, actor, body))
