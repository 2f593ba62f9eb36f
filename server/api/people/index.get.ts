import { api } from '~~/server/http/api'
import { listPeople } from '~~/server/services/people'

export default api(undefined, ({ context, actor }) => listPeople(context, actor))
