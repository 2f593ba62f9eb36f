import { api } from '~~/server/http/api'
import { huntHome } from '~~/server/services/hunts'

export default api(undefined, ({ context, actor }) => huntHome(context, actor))
