import { setHeader } from 'h3'
import { api } from '~~/server/http/api'
import { exportGlossary } from '~~/server/services/glossary'

export default api(undefined, ({ context, actor, event }) => {
  setHeader(event, 'content-type', 'text/csv; charset=utf-8')
  setHeader(event, 'content-disposition', 'attachment; filename="glossary.csv"')
  return exportGlossary(context, actor)
})
