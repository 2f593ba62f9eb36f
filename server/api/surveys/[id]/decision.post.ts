import { SurveyDecisionRequest } from '#schemas/survey-requests'
import { api, idOf } from '~~/server/http/api'
import { decideSurvey } from '~~/server/services/surveys'

export default api(SurveyDecisionRequest, ({ context, actor, body, event }) =>
  decideSurvey(context, actor, idOf(event), body),
)
