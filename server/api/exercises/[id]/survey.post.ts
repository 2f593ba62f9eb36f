import { SurveyTakeRequest } from '#schemas/survey-requests'
import { api, idOf } from '~~/server/http/api'
import { takeFromSurvey } from '~~/server/services/survey-exercise'

export default api(SurveyTakeRequest, ({ context, actor, body, event }) =>
  takeFromSurvey(context, actor, idOf(event), body),
)
