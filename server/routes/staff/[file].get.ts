import { getHeader, getRouterParam, setHeader, setResponseStatus } from 'h3'
import { api } from '~~/server/http/api'
import { staffScript } from '~~/server/http/staff-scripts'
import { allow } from '~~/server/services/access'

/** A script of a page that is for staff alone: it may compute what an apprentice is asked. */
export default api(
  undefined,
  async ({ actor, event }) => {
    allow(actor, 'staffScript.load')
    const script = await staffScript(getRouterParam(event, 'file') ?? '', getHeader(event, 'accept-encoding'))
    setHeader(event, 'content-type', 'text/javascript; charset=utf-8')
    setHeader(event, 'vary', 'accept-encoding, cookie')
    // Asked for each time, so that the next person on a shared device is asked too; seldom sent twice.
    setHeader(event, 'cache-control', 'private, no-cache')
    setHeader(event, 'etag', script.etag)
    if (script.encoding) setHeader(event, 'content-encoding', script.encoding)
    if (getHeader(event, 'if-none-match') === script.etag) {
      setResponseStatus(event, 304)
      return ''
    }
    return script.bytes
  },
  // A locked page is loaded, so that it can be opened again.
  { whileLocked: true },
)
