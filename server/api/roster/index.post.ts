import { RosterRequest } from '#schemas/requests'
import { api } from '~~/server/http/api'
import { importRoster } from '~~/server/services/people'

export default api(RosterRequest, ({ context, actor, body }) =>
  importRoster(context, actor, Buffer.from(body.fileBase64, 'base64')),
)
