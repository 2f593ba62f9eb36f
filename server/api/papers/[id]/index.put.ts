import { TestRecordSaveRequest } from '#schemas/test-record-views'
import { api, idOf } from '~~/server/http/api'
import { saveTestRecord } from '~~/server/services/test-records'

export default api(TestRecordSaveRequest, ({ context, actor, body, event }) =>
  saveTestRecord(context, actor, idOf(event), body),
)
