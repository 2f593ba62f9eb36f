import { setHeader } from 'h3'
import { api, idOf } from '~~/server/http/api'
import { showExercise } from '~~/server/services/exercises'

export default api(undefined, ({ context, actor, event }) => {
  const { exercise } = showExercise(context, actor, idOf(event))
  setHeader(event, 'content-disposition', `attachment; filename="${exercise.code}.json"`)
  return exercise
})
