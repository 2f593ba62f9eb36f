import { api } from '~~/server/http/api'
import { keepingView } from '~~/server/http/keeping'
import { allow } from '~~/server/services/access'

export default api(undefined, ({ context, actor }) => {
  allow(actor, 'backups.keep')
  return keepingView(context.now)
})
