import { SetRequest } from '#schemas/requests'
import { api, idOf } from '~~/server/http/api'
import { setExercise } from '~~/server/services/set-exercise'

export default api(SetRequest, ({ context, actor, event, body }) =>
  setExercise(context, actor, { id: idOf(event), ...body }),
)
