/* The offline shell: a page opens without a network; scripts of the staff are kept only for whoever may have them. */
import { beforeAll, beforeEach, describe, expect, it, vi } from 'vitest'

type Asked = { readonly request: Request; readonly url: URL }
type Handler = (asked: Asked) => Promise<Response>
const routes: { readonly matches: (asked: { readonly url: URL }) => boolean; readonly handler: Handler }[] =
  []
let pages: Handler
let denied: readonly RegExp[]
vi.mock('workbox-precaching', () => ({
  precacheAndRoute: vi.fn(),
  cleanupOutdatedCaches: vi.fn(),
  createHandlerBoundToURL: () => async () => new Response('shell'),
}))
vi.mock('workbox-routing', () => ({
  NavigationRoute: class {
    constructor(handler: Handler, { denylist }: { readonly denylist: readonly RegExp[] }) {
      pages = handler
      denied = denylist
    }
  },
  registerRoute: (matches: unknown, handler: Handler) =>
    typeof matches === 'function' && routes.push({ matches: matches as never, handler }),
}))
const kept = new Map<string, Response>()
const dropped: string[] = []
const cache = {
  put: async ({ url }: Request, answer: Response) => void kept.set(url, answer),
  delete: async ({ url }: Request) => kept.delete(url),
  match: async ({ url }: Request) => kept.get(url)?.clone(),
}
vi.stubGlobal('caches', { open: async () => cache, delete: async (name: string) => void dropped.push(name) })
vi.stubGlobal('SHELL_FILES', [])
const worker = Object.assign(new EventTarget(), { skipWaiting: vi.fn(), clients: { claim: vi.fn() } })
vi.stubGlobal('self', worker)
const network = vi.fn<(request: Request) => Promise<Response>>()
vi.stubGlobal('fetch', network)

/** By its name, since it knows the types of a worker and not of a page. */
const SHELL = '../../app/service-worker/sw'
beforeAll(async () => void (await import(SHELL)))
beforeEach(() => {
  kept.clear()
  network.mockReset()
})
const SCRIPT = 'http://nakshi.example/staff/marks-1a2b.js'
async function script(): Promise<string> {
  const [asked, url] = [new Request(SCRIPT), new URL(SCRIPT)]
  const answer = await routes.find(({ matches }) => matches({ url }))!.handler({ request: asked, url })
  return answer.type === 'error' ? 'none' : answer.text()
}
const gone = () => network.mockRejectedValue(new TypeError('no network'))

describe('a page', () => {
  const page = async () => {
    const url = new URL('http://nakshi.example/work/12')
    return (await pages({ request: new Request(url), url })).text()
  }
  it('comes from the server where it answers, also with a refusal', async () => {
    network.mockResolvedValue(new Response('page'))
    expect(await page()).toBe('page')
    network.mockResolvedValue(new Response('not here', { status: 404 }))
    expect(await page()).toBe('not here')
  })
  it('is opened from the shell without a network, and where a server is in trouble', async () => {
    gone()
    expect(await page()).toBe('shell')
    network.mockResolvedValue(new Response('bad gateway', { status: 502 }))
    expect(await page()).toBe('shell')
  })
  it('is not waited for longer than somebody at a bay would', async () => {
    network.mockImplementation(({ signal }) => {
      expect(signal).toBeDefined()
      return Promise.reject(new DOMException('too slow', 'TimeoutError'))
    })
    expect(await page()).toBe('shell')
  })
  it('what the server says of people is never answered by the shell', () => {
    const isDenied = (path: string) => denied.some((form) => form.test(path))
    expect(['/api/work/12', '/api/session', '/import.csv', '/sw.js'].map(isDenied)).toEqual(
      Array(4).fill(true),
    )
    expect(['/work/12', '/', '/floor'].map(isDenied)).toEqual(Array(3).fill(false))
  })
})

describe('a script of the staff', () => {
  it('is asked for each time, and kept for when the network is gone', async () => {
    network.mockResolvedValue(new Response('new'))
    expect(await script()).toBe('new')
    gone()
    expect([await script(), await script()]).toEqual(['new', 'new'])
  })
  it('refused to whoever sits here now, it is gone from the device', async () => {
    network.mockResolvedValueOnce(new Response('answers'))
    await script()
    network.mockResolvedValueOnce(new Response('not for you', { status: 403 }))
    expect(await script()).toBe('not for you')
    gone()
    expect(await script()).toBe('none')
  })
  it('a server in trouble takes nothing away', async () => {
    network.mockResolvedValueOnce(new Response('kept'))
    await script()
    network.mockResolvedValueOnce(new Response('trouble', { status: 503 }))
    await script()
    gone()
    expect(await script()).toBe('kept')
  })
})

describe('a newer version', () => {
  it('drops what the one before had kept of the staff', async () => {
    const done: Promise<unknown>[] = []
    worker.dispatchEvent(
      Object.assign(new Event('activate'), { waitUntil: (work: Promise<unknown>) => void done.push(work) }),
    )
    await Promise.all(done)
    expect(dropped).toHaveLength(1)
    expect(worker.clients.claim).toHaveBeenCalled()
  })
  it('waits until somebody says so', () => {
    worker.dispatchEvent(Object.assign(new Event('message'), { data: { type: 'other' } }))
    worker.dispatchEvent(Object.assign(new Event('message'), { data: null }))
    expect(worker.skipWaiting).not.toHaveBeenCalled()
    worker.dispatchEvent(Object.assign(new Event('message'), { data: { type: 'SKIP_WAITING' } }))
    expect(worker.skipWaiting).toHaveBeenCalledOnce()
  })
})
