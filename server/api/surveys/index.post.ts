import { SurveyStartRequest } from '#schemas/survey-requests'
import { api } from '~~/server/http/api'
import { startSurvey } from '~~/server/services/surveys'

export default api(SurveyStartRequest, ({ context, actor, body }) => startSurvey(context, actor, body.site))
