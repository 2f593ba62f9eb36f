import { SurveyExerciseRequest } from '#schemas/survey-requests'
import { api, idOf } from '~~/server/http/api'
import { exerciseFromSurvey } from '~~/server/services/survey-exercise'

export default api(SurveyExerciseRequest, ({ context, actor, body, event }) =>
  exerciseFromSurvey(context, actor, idOf(event), body),
)
