import { api } from '~~/server/http/api'
import { backUp, keepingView } from '~~/server/http/keeping'
import { allow } from '~~/server/services/access'

export default api(undefined, async ({ context, actor }) => {
  allow(actor, 'backups.keep')
  await backUp(context.now)
  context.repos.audit.add(context.now, actor.id, 'backedUp', 'database')
  return keepingView(context.now)
})
