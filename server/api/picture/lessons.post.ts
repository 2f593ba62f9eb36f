import { LessonRequest } from '#schemas/planning-requests'
import { api } from '~~/server/http/api'
import { addLesson } from '~~/server/services/picture'

export default api(LessonRequest, ({ context, actor, body }) => addLesson(context, actor, body))
