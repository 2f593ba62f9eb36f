import { RunCreateRequest } from '#schemas/workmanship-views'
import { api } from '~~/server/http/api'
import { createRun } from '~~/server/services/runs'

export default api(RunCreateRequest, ({ context, actor, body }) => createRun(context, actor, body.fields))
