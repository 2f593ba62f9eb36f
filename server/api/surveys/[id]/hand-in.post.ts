import { SurveyHandInRequest } from '#schemas/survey-requests'
import { api, idOf } from '~~/server/http/api'
import { handInSurvey } from '~~/server/services/surveys'

export default api(SurveyHandInRequest, ({ context, actor, body, event }) =>
  handInSurvey(context, actor, idOf(event), body.version),
)
