import { getQuery } from 'h3'
import { api } from '~~/server/http/api'
import { download } from '~~/server/http/download'
import { exportFramework } from '~~/server/services/frameworks'

export default api(undefined, ({ context, actor, event }) =>
  download(event, exportFramework(context, actor, getQuery(event).as === 'csv' ? 'csv' : 'json')),
)
