import { TestRecordSignRequest } from '#schemas/test-record-views'
import { api, idOf } from '~~/server/http/api'
import { withTries } from '~~/server/http/tries'
import { signTestRecord } from '~~/server/services/test-records'

export default api(TestRecordSignRequest, ({ context, actor, event, body }) =>
  withTries(`paper ${idOf(event)}`, () => signTestRecord(context, actor, idOf(event), body)),
)
