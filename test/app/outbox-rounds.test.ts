/* The outbox: what waits on a device is sent from whatever page is open, for whoever typed it and by nobody else. */
import 'fake-indexeddb/auto'
import { createPinia, disposePinia, setActivePinia, type Pinia } from 'pinia'
import { nextTick, reactive } from 'vue'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { ApiProblem } from '~/utils/api-problem'
import { devicePlace, type DocumentAbout } from '~/utils/device-copy'
import { ABOUT, emptyDevice, idle, keepAs, keepBare, keptFor } from '../support/device'

const session = reactive({ person: null as { readonly id: number } | null })
vi.mock('~/stores/session', () => ({ useSession: () => session }))
const callOnce = vi.fn<(method: string, path: string, body?: unknown) => Promise<unknown>>()
vi.mock('~/composables/useApi', () => ({ useApi: () => ({ callOnce }) }))
let again: () => void
let online: () => void
vi.mock('@vueuse/core', () => ({
  useIntervalFn: (run: () => void) => void (again = run),
  useEventListener: (_: string, run: () => void) => void (online = run),
}))
const { useOutbox } = await import('~/stores/outbox')

const ROBIN = { id: 7 }
const SAM = { id: 8 }
let pinia: Pinia
let outbox: ReturnType<typeof useOutbox>
/** The device as somebody finds it who opens a page. */
async function opened(person: { readonly id: number } | null): Promise<void> {
  session.person = person
  setActivePinia(pinia)
  outbox = useOutbox()
  await idle()
}
const sent = () => callOnce.mock.calls.map(([method, path]) => `${method} ${path}`)
const waits = () => outbox.mine.map(({ key, reason }) => (reason ? `${key}: ${reason}` : key))
const typed = { base: { ib: '' }, mine: { ib: '12.6' } }

beforeEach(async () => {
  vi.stubGlobal('navigator', { locks: { query: async () => ({ held: [] }) } })
  await emptyDevice()
  session.person = null
  callOnce.mockReset().mockResolvedValue(null)
  pinia = createPinia()
})
afterEach(() => {
  disposePinia(pinia)
  vi.unstubAllGlobals()
})

describe('sending', () => {
  it('what a closed page left goes as soon as its person is here, and is forgotten', async () => {
    await keepAs('closed', 'sheet', typed)
    await opened(ROBIN)
    expect(sent()).toEqual(['PUT work/12'])
    expect(await keptFor('sheet')).toBeUndefined()
    expect(waits()).toEqual([])
  })
  it('nothing goes while nobody is signed in; it goes when they come', async () => {
    await keepAs('closed', 'sheet', typed)
    await opened(null)
    expect(sent()).toEqual([])
    session.person = ROBIN
    await idle()
    expect(sent()).toEqual(['PUT work/12'])
  })
  it('what somebody else typed on this device stays theirs, unseen and unsent', async () => {
    await keepAs('closed', 'sheet', typed)
    await opened(SAM)
    expect([sent(), waits()]).toEqual([[], []])
    expect(outbox.waiting.map(({ about }) => about.person.name)).toEqual(['Robin Vance'])
  })
  it('somebody else signs in between two documents: the second is not sent as theirs', async () => {
    await keepAs('closed', 'first', typed)
    await keepAs('closed', 'second', typed)
    callOnce.mockImplementationOnce(async () => void (session.person = SAM))
    await opened(ROBIN)
    expect(sent()).toEqual(['PUT work/12'])
    expect(await keptFor('second')).toBeDefined()
  })
  it('somebody else signs in between two tries of one document: it is not sent as theirs', async () => {
    await keepAs('closed', 'sheet', typed)
    callOnce.mockImplementationOnce(async () => {
      session.person = SAM
      throw new ApiProblem(409, 'stale', '', [], {
        theirs: { fields: { ib: '' }, version: 9, savedAt: null },
      })
    })
    await opened(ROBIN)
    expect(sent()).toEqual(['PUT work/12'])
    expect(await keptFor('sheet')).toBeDefined()
  })
  it('two calls for a round are one round: nothing is sent twice', async () => {
    await opened(ROBIN)
    await keepAs('closed', 'sheet', typed)
    await Promise.all([outbox.drain(), outbox.drain()])
    expect(sent()).toEqual(['PUT work/12'])
  })
  it('typed on while it was under way, what is newer stays and waits', async () => {
    await keepAs('closed', 'sheet', typed)
    callOnce.mockImplementationOnce(
      async () =>
        void (await keepAs(
          'closed',
          'sheet',
          { base: { ib: '' }, mine: { ib: '12.65' } },
          '2026-11-12T15:00Z',
        )),
    )
    await opened(ROBIN)
    expect((await keptFor('sheet'))!.mine).toEqual({ ib: '12.65' })
    expect(waits()).toEqual(['sheet'])
  })
})

describe('where it cannot go', () => {
  it('without a network the round ends; the next beat and the network itself try again', async () => {
    await keepAs('closed', 'first', typed)
    await keepAs('closed', 'second', typed)
    callOnce.mockRejectedValue(new ApiProblem(0, 'offline', ''))
    await opened(ROBIN)
    expect(sent()).toEqual(['PUT work/12'])
    expect(waits()).toEqual(['first', 'second'])
    again()
    await idle()
    expect(sent()).toHaveLength(2)
    callOnce.mockResolvedValue(null)
    online()
    await idle()
    expect(sent()).toHaveLength(4)
    expect(waits()).toEqual([])
  })
  it('refused, it waits with the reason, lets others pass, and is not asked again', async () => {
    await keepAs('closed', 'first', typed)
    await keepAs('closed', 'second', typed)
    callOnce.mockRejectedValueOnce(new ApiProblem(409, 'locked', 'This sheet has been signed.'))
    await opened(ROBIN)
    expect(waits()).toEqual(['first: This sheet has been signed.'])
    again()
    await idle()
    expect(sent()).toHaveLength(2)
  })
  it('the same box changed elsewhere waits for a person’s choice on its page', async () => {
    await keepAs('closed', 'sheet', typed)
    const theirs = { fields: { ib: '13' }, version: 9, savedAt: null }
    callOnce.mockRejectedValueOnce(new ApiProblem(409, 'stale', '', [], { theirs }))
    await opened(ROBIN)
    expect(waits()).toEqual(['sheet: The same box was changed elsewhere. Open it and choose.'])
  })
  it('opening its page takes the reason away: the page sends for itself, and hands over when it is left', async () => {
    await keepAs('closed', 'sheet', typed)
    callOnce.mockRejectedValueOnce(new ApiProblem(409, 'locked', 'Locked.'))
    await opened(ROBIN)
    const [letGo, letGoAlso] = [outbox.opened('sheet'), outbox.opened('sheet')]
    await outbox.drain()
    expect(sent()).toHaveLength(1)
    expect(outbox.mine[0]).toMatchObject({ isHere: true })
    expect(outbox.mine[0]).not.toHaveProperty('reason')
    letGo()
    await idle()
    expect(sent()).toHaveLength(1)
    letGoAlso()
    await idle()
    expect(sent()).toHaveLength(2)
  })
  it('a draft is never sent by itself: it says that somebody has to save it', async () => {
    const draft: DocumentAbout = { ...ABOUT, delivery: null }
    devicePlace('draft', draft).keep({ ...typed, version: 1 })
    await idle()
    await opened(ROBIN)
    expect(sent()).toEqual([])
    expect(waits()).toEqual(['draft: A draft. Open it and save.'])
  })
})

describe('the list', () => {
  it('counts boxes and says since when, by the oldest copy', async () => {
    callOnce.mockRejectedValue(new ApiProblem(0, 'offline', ''))
    await keepAs('one', 'sheet', { base: {}, mine: { ib: '12', zs: '0.8' } }, '2026-11-12T14:05Z')
    await keepAs('two', 'sheet', { base: {}, mine: { r2: '0.3' } }, '2026-11-12T14:00Z')
    await opened(ROBIN)
    expect(outbox.mine[0]).toMatchObject({
      boxes: 3,
      since: '2026-11-12T14:00Z',
      about: { what: 'Worksheet' },
    })
  })
  it('what was typed back to what the server has, and what nobody is known for, is not in it', async () => {
    await keepAs('closed', 'same', { base: { ib: '12' }, mine: { ib: '12' } })
    await keepBare('bare', typed)
    await opened(null)
    expect(outbox.waiting).toEqual([])
  })
  it('something thrown away is gone from the device, and the rest is not', async () => {
    callOnce.mockRejectedValue(new ApiProblem(0, 'offline', ''))
    await keepAs('closed', 'first', typed)
    await keepAs('closed', 'second', typed)
    await opened(ROBIN)
    await outbox.discard('first')
    await nextTick()
    expect([await keptFor('first'), waits()]).toEqual([undefined, ['second']])
  })
})
