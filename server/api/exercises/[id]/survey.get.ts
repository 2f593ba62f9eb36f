import { api, idOf } from '~~/server/http/api'
import { surveyOfExercise } from '~~/server/services/survey-exercise'

export default api(undefined, ({ context, actor, event }) => surveyOfExercise(context, actor, idOf(event)))
