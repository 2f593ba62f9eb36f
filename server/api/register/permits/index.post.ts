import { PermitRequest } from '#schemas/isolation-requests'
import { api } from '~~/server/http/api'
import { issuePermit } from '~~/server/services/register'

export default api(PermitRequest, ({ context, actor, body }) => issuePermit(context, actor, body))
