import { api, idOf } from '~~/server/http/api'
import { showExercise } from '~~/server/services/exercises'

export default api(undefined, ({ context, actor, event }) => showExercise(context, actor, idOf(event)))
