import { ReleaseRequest } from '#schemas/requests'
import { api } from '~~/server/http/api'
import { releaseMany } from '~~/server/services/marking'

export default api(ReleaseRequest, ({ context, actor, body }) => releaseMany(context, actor, body.ids))
