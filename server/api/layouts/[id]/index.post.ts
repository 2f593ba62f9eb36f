import { LayoutTryRequest } from '#schemas/layout-views'
import { api, idOf } from '~~/server/http/api'
import { tryLayout } from '~~/server/services/layouts'

export default api(LayoutTryRequest, ({ context, actor, body, event }) =>
  tryLayout(context, actor, idOf(event), body),
)
