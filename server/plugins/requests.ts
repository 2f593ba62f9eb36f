import type { Server } from 'node:http'
import { countRequest } from '../http/metrics'
import { log, routeOf } from '../http/log'

/**
 * An idle connection is kept longer than tablets and proxies think it is: what is sent at the moment in which it is
 * closed would be lost and sent again. Usual proxies keep a minute.
 */
const KEEP_ALIVE_MS = 75_000

/** Every answered request is counted and, where the level asks for it, logged. Streams stay open and are left out. */
export default defineNitroPlugin((nitro) => {
  const began = new WeakMap<object, number>()
  nitro.hooks.hook('request', (event) => {
    began.set(event, performance.now())
    const { server } = event.node.req.socket as { readonly server?: Server }
    if (server && server.keepAliveTimeout !== KEEP_ALIVE_MS) {
      server.keepAliveTimeout = KEEP_ALIVE_MS
      server.headersTimeout = KEEP_ALIVE_MS + 5000
    }
  })
  nitro.hooks.hook('afterResponse', (event) => {
    const from = began.get(event)
    if (from === undefined || !event.path.startsWith('/api/') || event.path.startsWith('/api/news')) return
    const [route, ms] = [
      `${event.method} ${routeOf(event.path.slice('/api/'.length))}`,
      performance.now() - from,
    ]
    const status = event.node.res.statusCode
    countRequest(route, ms, status)
    log.info({ route, status, ms: Math.round(ms * 10) / 10 })
  })
})
