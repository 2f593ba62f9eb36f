import { SurveyRequest } from '#schemas/survey-requests'
import { api, idOf } from '~~/server/http/api'
import { saveSurvey } from '~~/server/services/surveys'

export default api(SurveyRequest, ({ context, actor, body, event }) =>
  saveSurvey(context, actor, idOf(event), body),
)
