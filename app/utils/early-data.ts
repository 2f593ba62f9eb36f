import { TAB } from './tab'

/** What a page asks first, by its address: known before the page itself is there. */
const FIRST_ASKED: readonly (readonly [page: RegExp, path: string])[] = [
  [/^\/work$/, 'work'],
  [/^\/work\/(\d+)$/, 'work/$1'],
  [/^\/floor$/, 'floor'],
  [/^\/marking$/, 'marking'],
]
/** Older than this it is asked again, ms. */
const HOLDS_MS = 10_000

/** Which tab asks, and for whom its page is: the server answers nobody else who sits at this device by now. */
export const headersOf = (person: number | undefined, body?: unknown): Record<string, string> => ({
  'x-nakshi-tab': TAB,
  ...(person === undefined ? {} : { 'x-nakshi-person': String(person) }),
  ...(body === undefined ? {} : { 'content-type': 'application/json' }),
})

let hasAsked = false
let early: { readonly path: string; readonly at: number; readonly response: Promise<Response> } | undefined

/**
 * Asks for what the page at this address needs first, while its scripts are still read. After the session, never
 * before: what the session's answer counts as seen must be in it.
 */
export function askEarly(page: string, person: number): void {
  const found = FIRST_ASKED.find(([pattern]) => pattern.test(page))
  // Later pages come by a tap, their scripts and the stream of news already there.
  if (!found || hasAsked) return
  hasAsked = true
  const path = page.replace(...(found as [RegExp, string]))
  const response = fetch(`/api/${path}`, { headers: headersOf(person) })
  // Nobody may come for it; whoever comes hears what went wrong.
  response.catch(() => undefined)
  early = { path, at: Date.now(), response }
}

/** What was asked early for this path: once, and only while it is fresh. */
export function takeEarly(path: string): Promise<Response> | undefined {
  const kept = early
  if (kept?.path !== path) return undefined
  early = undefined
  return Date.now() - kept.at < HOLDS_MS ? kept.response : undefined
}
