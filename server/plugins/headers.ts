import { createHash } from 'node:crypto'

const INLINE = /<script(?![^>]*\bsrc=)([^>]*)>([\s\S]*?)<\/script>/g
/** Data in a script tag is not run, and needs no leave to. */
const isData = (attributes: string): boolean =>
  /type="(application|importmap|speculationrules)/.test(attributes)

/** The few lines of the page itself may run, by their hash; nothing else that stands in it may. */
const hashesIn = (html: string): string[] =>
  [...html.matchAll(INLINE)]
    .filter(([, attributes]) => !isData(attributes!))
    .map(([, , script]) => `'sha256-${createHash('sha256').update(script!).digest('base64')}'`)

const policyFor = (html: string): string =>
  [
    "default-src 'self'",
    "img-src 'self' data: blob:",
    "style-src 'self' 'unsafe-inline'",
    `script-src 'self' ${hashesIn(html).join(' ')}`.trim(),
    "font-src 'self'",
    "connect-src 'self'",
    "object-src 'none'",
    "base-uri 'self'",
    "form-action 'self'",
    "frame-ancestors 'none'",
  ].join('; ')

/** Every page says what may run in it. */
export default defineNitroPlugin((nitro) => {
  nitro.hooks.hook('render:response', (response) => {
    const { body } = response as { body?: unknown }
    if (typeof body !== 'string') return
    response.headers = { ...response.headers, 'content-security-policy': policyFor(body) }
  })
})
