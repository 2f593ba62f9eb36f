/* What the first page asks is on its way before the page is there; it is taken once, while it is fresh, by that page. */
import { afterEach, beforeEach, expect, it, vi } from 'vitest'

const asked = vi.fn<(url: string, how: RequestInit) => Promise<Response>>()
beforeEach(() => {
  vi.resetModules()
  vi.useFakeTimers()
  asked.mockReset().mockImplementation(() => Promise.resolve(new Response('{}')))
  vi.stubGlobal('fetch', asked)
  vi.stubGlobal('crypto', globalThis.crypto)
})
afterEach(() => {
  vi.useRealTimers()
  vi.unstubAllGlobals()
})
const fresh = () => import('../../app/utils/early-data')

it.each([
  ['/work/12', 'work/12'],
  ['/work', 'work'],
  ['/floor', 'floor'],
  ['/marking', 'marking'],
])('%s asks for %s', async (page, path) => {
  const { askEarly, takeEarly } = await fresh()
  askEarly(page, 7)
  expect(asked.mock.calls.map(([url]) => url)).toEqual([`/api/${path}`])
  expect(asked.mock.calls[0]![1].headers).toMatchObject({ 'x-nakshi-person': '7' })
  expect(await takeEarly(path)!).toBeInstanceOf(Response)
})
it.each(['/work/12/print', '/work/x', '/marking/22', '/library', '/'])(
  '%s asks for nothing',
  async (page) => {
    const { askEarly } = await fresh()
    askEarly(page, 7)
    expect(asked).not.toHaveBeenCalled()
  },
)
it('is taken once: a second reading of the same page asks the server again', async () => {
  const { askEarly, takeEarly } = await fresh()
  askEarly('/work/12', 7)
  expect(takeEarly('work/12')).toBeDefined()
  expect(takeEarly('work/12')).toBeUndefined()
})
it('is no answer for another sheet', async () => {
  const { askEarly, takeEarly } = await fresh()
  askEarly('/work/12', 7)
  expect(takeEarly('work/13')).toBeUndefined()
})
it('is not taken when it has grown old, since others may have changed it', async () => {
  const { askEarly, takeEarly } = await fresh()
  askEarly('/floor', 7)
  vi.advanceTimersByTime(10_001)
  expect(takeEarly('floor')).toBeUndefined()
})
it('is asked for the first page alone: a page that is tapped to asks by itself', async () => {
  const { askEarly } = await fresh()
  askEarly('/work', 7)
  askEarly('/work/12', 7)
  expect(asked).toHaveBeenCalledTimes(1)
})
it('a network that is gone is told to whoever takes it, and to nobody else', async () => {
  asked.mockImplementation(() => Promise.reject(new TypeError('gone')))
  const { askEarly, takeEarly } = await fresh()
  askEarly('/work/12', 7)
  await vi.advanceTimersByTimeAsync(0)
  await expect(takeEarly('work/12')).rejects.toThrow('gone')
})
