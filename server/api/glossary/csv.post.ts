import { GlossaryFileRequest } from '#schemas/glossary-csv'
import { api } from '~~/server/http/api'
import { importGlossary } from '~~/server/services/glossary'

export default api(GlossaryFileRequest, ({ context, actor, body }) => importGlossary(context, actor, body))
