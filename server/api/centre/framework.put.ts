import { seeing } from '#schemas/requests'
import { FrameworkSchema } from '#schemas/framework'
import { api } from '~~/server/http/api'
import { loadFramework } from '~~/server/services/centre'

export default api(seeing(FrameworkSchema), ({ context, actor, body }) =>
  loadFramework(context, actor, body.value, body.seen),
)
