import { api } from '~~/server/http/api'
import { listExercises } from '~~/server/services/exercises'

export default api(undefined, ({ context, actor }) => listExercises(context, actor))
