import { SiteFileRequest } from '#schemas/survey-requests'
import { api } from '~~/server/http/api'
import { importSite } from '~~/server/services/sites'

export default api(SiteFileRequest, ({ context, actor, body }) => importSite(context, actor, body.json))
