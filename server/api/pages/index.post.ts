import { PageRequest } from '#schemas/evidence-requests'
import { api } from '~~/server/http/api'
import { keepPage } from '~~/server/services/pages'

export default api(PageRequest, ({ context, actor, body }) => keepPage(context, actor, body))
