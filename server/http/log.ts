import pino from 'pino'

/**
 * Lines of JSON on standard output. Nothing of a person is in them: no names, numbers of records, addresses or
 * contents; the audit has who did what. NAKSHI_LOG chooses the level: `info` logs every request.
 */
export const log = pino({ level: process.env.NAKSHI_LOG ?? 'warn', base: undefined })

/** The route without what stands in its places: `work/7` and `bays/practice-split` are `work/:id` and `bays/:key`. */
export const routeOf = (path: string): string =>
  path
    .split('?')[0]!
    .split('/')
    .map((part) => {
      if (/^\d+$/.test(part)) return ':id'
      return /^[a-z]+-[a-z0-9]+$|^[0-9a-f]{64}$/.test(part) && !FIXED.has(part) ? ':key' : part
    })
    .join('/')
const FIXED = new Set(['set-up', 'hand-in', 'readings-form', 'ask-permission', 'hand-in-design'])
