import { api } from '~~/server/http/api'
import { faultFindingHome } from '~~/server/services/fault-finding'

export default api(undefined, ({ context, actor }) => faultFindingHome(context, actor))
