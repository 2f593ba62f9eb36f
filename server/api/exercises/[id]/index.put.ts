import { ExerciseSaveRequest } from '#schemas/requests'
import { api, idOf } from '~~/server/http/api'
import { saveExercise } from '~~/server/services/exercises'

export default api(ExerciseSaveRequest, ({ context, actor, event, body }) =>
  saveExercise(context, actor, idOf(event), body.version, body.exercise),
)
