import { getRouterParam } from 'h3'
import { api } from '~~/server/http/api'
import { plantBay } from '~~/server/services/fault-finding-set'

export default api(undefined, ({ context, actor, event }) =>
  plantBay(context, actor, getRouterParam(event, 'key') ?? ''),
)
