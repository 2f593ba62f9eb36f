import { getRouterParam, setHeader } from 'h3'
import { api } from '~~/server/http/api'
import { Problem } from '~~/server/services/problem'
import { showPhoto } from '~~/server/services/photos'

export default api(undefined, ({ context, actor, event }) => {
  const hash = getRouterParam(event, 'key') ?? ''
  if (!/^[0-9a-f]{64}$/.test(hash)) throw new Problem('notFound')
  const bytes = showPhoto(context, actor, hash)
  // Named by what is in it, so it never changes.
  setHeader(event, 'cache-control', 'private, max-age=31536000, immutable')
  setHeader(event, 'content-type', 'image/jpeg')
  return bytes
})
