import { api } from '~~/server/http/api'
import { listSurveys } from '~~/server/services/surveys'

export default api(undefined, ({ context, actor }) => listSurveys(context, actor))
