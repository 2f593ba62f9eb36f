import { api } from '~~/server/http/api'
import { metricsView } from '~~/server/http/metrics'
import { allow } from '~~/server/services/access'

export default api(undefined, ({ actor }) => {
  allow(actor, 'backups.keep')
  return metricsView()
})
