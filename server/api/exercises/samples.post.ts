import { api } from '~~/server/http/api'
import { takeSampleExercises } from '~~/server/services/packs'

export default api(undefined, ({ context, actor }) => takeSampleExercises(context, actor))
