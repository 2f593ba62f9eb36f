import { RosterRequest } from '#schemas/requests'
import { api } from '~~/server/http/api'
import { withProgress } from '~~/server/http/progress'
import { importRoster } from '~~/server/services/people'

export default api(RosterRequest, ({ context, actor, body }) =>
  withProgress(context.session?.id, (tell) =>
    importRoster(context, actor, Buffer.from(body.fileBase64, 'base64'), tell),
  ),
)
