import { getRouterParam, setHeader } from 'h3'
import { api } from '~~/server/http/api'
import { showPage } from '~~/server/services/pages'
import { Problem } from '~~/server/services/problem'

export default api(undefined, ({ context, actor, event }) => {
  const hash = getRouterParam(event, 'key') ?? ''
  if (!/^[0-9a-f]{64}$/.test(hash)) throw new Problem('notFound')
  const { bytes, name } = showPage(context, actor, hash)
  setHeader(event, 'cache-control', 'private, max-age=31536000, immutable')
  setHeader(event, 'content-type', 'application/pdf')
  // A page may hold a script: it is saved, or shown with nothing of ours within its reach.
  setHeader(event, 'content-security-policy', 'sandbox')
  setHeader(event, 'content-disposition', `attachment; filename*=UTF-8''${encodeURIComponent(name)}`)
  return bytes
})
