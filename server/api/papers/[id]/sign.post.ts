import { TestRecordSignRequest } from '#schemas/test-record-views'
import { api, idOf } from '~~/server/http/api'
import { signTestRecord } from '~~/server/services/test-records'

export default api(TestRecordSignRequest, ({ context, actor, event, body }) =>
  signTestRecord(context, actor, idOf(event), body),
)
