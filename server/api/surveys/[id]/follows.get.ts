import { api, idOf } from '~~/server/http/api'
import { followsOfSurvey } from '~~/server/services/survey-exercise'

export default api(undefined, ({ context, actor, event }) => followsOfSurvey(context, actor, idOf(event)))
