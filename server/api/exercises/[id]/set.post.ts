import { SetRequest } from '#schemas/requests'
import { api, idOf } from '~~/server/http/api'
import { setExercise } from '~~/server/services/exercises'

export default api(SetRequest, ({ context, actor, event, body }) =>
  setExercise(context, actor, idOf(event), body.version, body.cohort),
)
