import { FrameworkRequest } from '#schemas/evidence-requests'
import { api } from '~~/server/http/api'
import { putFramework } from '~~/server/services/frameworks'

export default api(FrameworkRequest, ({ context, actor, body }) => putFramework(context, actor, body))
