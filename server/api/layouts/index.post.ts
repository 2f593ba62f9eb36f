import { LayoutSetRequest } from '#schemas/layout-views'
import { api } from '~~/server/http/api'
import { setLayout } from '~~/server/services/layouts'

export default api(LayoutSetRequest, ({ context, actor, body }) => setLayout(context, actor, body))
