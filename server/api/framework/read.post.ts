import { FrameworkFileRequest } from '#schemas/evidence-requests'
import { api } from '~~/server/http/api'
import { readFramework } from '~~/server/services/frameworks'

export default api(FrameworkFileRequest, ({ actor, body }) => readFramework(actor, body))
