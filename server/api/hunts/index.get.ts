import { api } from '~~/server/http/api'
import { huntHome } from '~~/server/services/fault-finding'

export default api(undefined, ({ context, actor }) => huntHome(context, actor))
