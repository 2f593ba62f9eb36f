import { api, idOf } from '~~/server/http/api'
import { showSurvey } from '~~/server/services/surveys'

export default api(undefined, ({ context, actor, event }) => showSurvey(context, actor, idOf(event)))
