/* A screen looks again when something has changed: soon, not at every word, and by itself where the stream is cut. */
import { effectScope, nextTick, reactive, type EffectScope } from 'vue'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'

const page = Object.assign(new EventTarget(), { visibilityState: 'visible' })
vi.stubGlobal('document', page)
vi.stubGlobal('window', Object.assign(new EventTarget(), { document: page }))
vi.useFakeTimers()

const listened = vi.fn()
const stream = reactive({
  changes: 0,
  status: 'OPEN',
  listen: () => (listened('begun'), () => listened('ended')),
})
vi.mock('~/stores/news', () => ({ useNewsStream: () => stream }))
const { useNews } = await import('~/composables/useNews')

const look = vi.fn()
let scope: EffectScope
async function told(times = 1): Promise<void> {
  for (let i = 0; i < times; i += 1) {
    stream.changes += 1
    await nextTick()
  }
}
async function seen(how: 'visible' | 'hidden'): Promise<void> {
  page.visibilityState = how
  page.dispatchEvent(new Event('visibilitychange'))
  await nextTick()
}
const passed = (ms: number) => vi.advanceTimersByTimeAsync(ms)

beforeEach(() => {
  Object.assign(stream, { changes: 0, status: 'OPEN' })
  page.visibilityState = 'visible'
  look.mockReset()
  listened.mockReset()
  scope = effectScope()
  scope.run(() => useNews(look))
})
afterEach(async () => {
  scope.stop()
  await passed(10_000)
})

describe('while the stream is open', () => {
  it('the first news is looked at almost at once', async () => {
    await told()
    await passed(20)
    expect(look).toHaveBeenCalledTimes(1)
  })
  it('a room full of typing tablets is looked at no oftener than the pause allows, the last news too', async () => {
    for (let i = 0; i < 11; i += 1) {
      await told()
      await passed(100)
    }
    // The first at once, then one in each 600 ms.
    expect(look).toHaveBeenCalledTimes(2)
    await passed(600)
    expect(look).toHaveBeenCalledTimes(3)
    await passed(10_000)
    expect(look).toHaveBeenCalledTimes(3)
  })
  it('nothing is looked at where nothing was told', async () => {
    await passed(60_000)
    expect(look).not.toHaveBeenCalled()
  })
})

describe('a page that nobody sees', () => {
  it('looks when it is seen again, once for all that was told meanwhile', async () => {
    await seen('hidden')
    await told(5)
    await passed(60_000)
    expect(look).not.toHaveBeenCalled()
    await seen('visible')
    await passed(20)
    expect(look).toHaveBeenCalledTimes(1)
  })
  it('seen again with nothing told looks at nothing', async () => {
    await seen('hidden')
    await seen('visible')
    await passed(60_000)
    expect(look).not.toHaveBeenCalled()
  })
})

describe('a stream that is cut', () => {
  it('is made up for by looking every four seconds, until it is open again', async () => {
    stream.status = 'CONNECTING'
    await passed(12_100)
    expect(look).toHaveBeenCalledTimes(3)
    stream.status = 'OPEN'
    await passed(12_000)
    expect(look).toHaveBeenCalledTimes(3)
  })
})

it('a page that is left looks no more, and lets the stream go', async () => {
  await told()
  scope.stop()
  await passed(10_000)
  expect(look).not.toHaveBeenCalled()
  expect(listened.mock.calls.flat()).toEqual(['begun', 'ended'])
})
