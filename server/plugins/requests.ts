import { countRequest } from '../http/metrics'
import { log, routeOf } from '../http/log'

/** Every answered request is counted and, where the level asks for it, logged. Streams stay open and are left out. */
export default defineNitroPlugin((nitro) => {
  const began = new WeakMap<object, number>()
  nitro.hooks.hook('request', (event) => {
    began.set(event, performance.now())
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
