import { getQuery, setHeader } from 'h3'
import { api } from '~~/server/http/api'
import { exportBank } from '~~/server/services/question-bank'

export default api(undefined, async ({ context, actor, event }) => {
  const { name, type, content } = await exportBank(
    context,
    actor,
    getQuery(event).as === 'qti' ? 'qti' : 'json',
  )
  setHeader(event, 'content-type', type)
  setHeader(event, 'content-disposition', `attachment; filename="${name}"`)
  return content
})
