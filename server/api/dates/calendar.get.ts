import { api } from '~~/server/http/api'
import { download } from '~~/server/http/download'
import { calendarFile } from '~~/server/services/dates'

export default api(undefined, ({ context, actor, event }) =>
  download(event, {
    name: 'nakshi.ics',
    type: 'text/calendar; charset=utf-8',
    content: calendarFile(context, actor),
  }),
)
