import { StopRequest } from '#schemas/requests'
import { api } from '~~/server/http/api'
import { withdrawPermission } from '~~/server/services/permission'

export default api(
  StopRequest,
  ({ context, actor, body }) => withdrawPermission(context, actor, body.attemptId, body.reason),
  // STOP waits for nobody's PIN or sign-in, and for nobody's saving.
  { whileLocked: true, fromAnyPage: true, urgency: 'urgent' },
)
