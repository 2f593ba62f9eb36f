import { SurveySetRequest } from '#schemas/survey-requests'
import { api } from '~~/server/http/api'
import { setSurvey } from '~~/server/services/surveys'

export default api(SurveySetRequest, ({ context, actor, body }) => setSurvey(context, actor, body))
