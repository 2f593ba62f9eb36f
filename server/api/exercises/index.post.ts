import { ExerciseSchema } from '#schemas/exercise'
import { api } from '~~/server/http/api'
import { createExercise } from '~~/server/services/exercises'

export default api(ExerciseSchema, ({ context, actor, body }) => createExercise(context, actor, body))
