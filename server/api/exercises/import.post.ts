import { ExerciseImportRequest } from '#schemas/requests'
import { api } from '~~/server/http/api'
import { importExercise } from '~~/server/services/exercises'

export default api(ExerciseImportRequest, ({ context, actor, body }) =>
  importExercise(context, actor, body.text),
)
