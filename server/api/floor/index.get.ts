import { api } from '~~/server/http/api'
import { showFloor } from '~~/server/services/floor'

export default api(undefined, ({ context, actor }) => showFloor(context, actor))
