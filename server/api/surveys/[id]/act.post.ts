import { SurveyActRequest } from '#schemas/survey-requests'
import { api, idOf } from '~~/server/http/api'
import { actAtSite } from '~~/server/services/surveys'

export default api(SurveyActRequest, ({ context, actor, body, event }) =>
  actAtSite(context, actor, idOf(event), body.act),
)
