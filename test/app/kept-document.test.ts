/* A document under one address: it appears with what stands in it, goes on from news, and opens without a network. */
import { effectScope, watch, type EffectScope } from 'vue'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { ApiProblem } from '~/utils/api-problem'
import type { DeviceCopy, DevicePlace } from '~/utils/device-copy'

const call = vi.fn()
vi.mock('~/composables/useApi', () => ({ useApi: () => ({ call }) }))
vi.mock('~/stores/session', () => ({ useSession: () => ({ person: { id: 7 } }) }))
const read = vi.fn()
vi.mock('~/composables/useLastView', () => ({ useLastView: () => ({ read }) }))
const device = new Map<string, DeviceCopy>()
/** The device takes its time to look. */
let looking: Promise<void>
const about = vi.fn()
vi.mock('~/composables/useDevicePlace', () => ({
  useDevicePlace: (key: string, what: unknown): DevicePlace => {
    about(key, what)
    return {
      read: () => looking.then(() => device.get(key)),
      keep: (copy) => void device.set(key, { ...copy, mine: { ...copy.mine } }),
      forget: async () => void device.delete(key),
      open: () => () => {},
    }
  },
}))
vi.stubGlobal('useRoute', () => ({ path: '/runs/1' }))
const { useKeptDocument, useKeptSheet } = await import('~/composables/useKeptDocument')

interface Sheet {
  readonly fields: Readonly<Record<string, string>>
  readonly version: number
  readonly savedAt: string | null
}
const sheet = (fields: Sheet['fields'], version = 1): Sheet => ({ fields, version, savedAt: null })
let scope: EffectScope
const open = () => scope.run(() => useKeptSheet<Sheet>('runs/1', 'Containment run'))!
const pause = () => vi.advanceTimersByTimeAsync(1000)

beforeEach(() => {
  vi.useFakeTimers()
  device.clear()
  looking = Promise.resolve()
  for (const mock of [call, read, about]) mock.mockReset()
  scope = effectScope()
})
afterEach(() => {
  scope.stop()
  vi.useRealTimers()
})

describe('opening', () => {
  it('boxes appear with what stands in them: nothing can be typed that is then replaced', async () => {
    let look!: () => void
    looking = new Promise((resolve) => (look = resolve))
    device.set('runs/1/7', { base: { name: 'Pit' }, mine: { name: 'Pit, north' }, version: 1 })
    read.mockResolvedValue({ view: sheet({ name: 'Pit', bays: '8' }) })
    const doc = open()
    const appeared: Record<string, string>[] = []
    scope.run(() => watch(doc.view, () => appeared.push({ ...doc.autosave.fields }), { flush: 'sync' }))
    const loading = doc.load()
    await vi.advanceTimersByTimeAsync(50)
    expect(doc.view.value).toBeNull()
    look()
    await loading
    expect(appeared).toEqual([{ name: 'Pit, north', bays: '8' }])
  })
  it('says what it is, whose it is, and how it is sent, for when its page is closed', () => {
    open()
    expect(about).toHaveBeenCalledWith('runs/1/7', {
      what: 'Containment run',
      page: '/runs/1',
      delivery: { path: 'runs/1', shape: 'sheet' },
    })
  })
  it('that is refused says why, and can be tried again', async () => {
    read.mockRejectedValueOnce(new ApiProblem(404, 'notFound', 'This is not there.'))
    const doc = open()
    await doc.load()
    expect(doc.problem.value).toMatchObject({ code: 'notFound' })
    expect(doc.view.value).toBeNull()
    read.mockResolvedValueOnce({ view: sheet({ name: 'Pit' }) })
    await doc.load()
    expect(doc.problem.value).toBeNull()
    expect(doc.autosave.fields).toEqual({ name: 'Pit' })
  })
  it('turns what an earlier version kept into the boxes of today, by the view that comes', async () => {
    device.set('runs/1/7', { base: {}, mine: { length: '900' }, version: 1 })
    read.mockResolvedValue({ view: sheet({}) })
    const doc = scope.run(() =>
      useKeptDocument<Sheet>({
        path: 'runs/1',
        what: 'Containment run',
        shape: 'sheet',
        present: ({ length = '' }, { version }) => ({ [`v${version}.length`]: length }),
      }),
    )!
    await doc.load()
    expect(doc.autosave.fields).toEqual({ 'v1.length': '900' })
  })
})

describe('typed and saved', () => {
  it('goes to its address with the version it was read in', async () => {
    read.mockResolvedValue({ view: sheet({ name: 'Pit' }, 3) })
    call.mockResolvedValue({ version: 4, savedAt: '2026-11-12T14:00:00Z' })
    const doc = open()
    await doc.load()
    doc.autosave.write('bays', '12')
    await pause()
    expect(call).toHaveBeenCalledWith('PUT', 'runs/1', { version: 3, fields: { name: 'Pit', bays: '12' } })
    expect(doc.autosave.savedAt.value).toBe('2026-11-12T14:00:00Z')
  })
  it('refused as older: theirs is shown, both are put together and sent against their version', async () => {
    read.mockResolvedValue({ view: sheet({ name: 'Pit' }, 3) })
    const theirs = sheet({ name: 'Pit', bays: '20' }, 7)
    call
      .mockRejectedValueOnce(new ApiProblem(409, 'stale', 'Changed.', [], { theirs }))
      .mockResolvedValue({ version: 8, savedAt: '' })
    const doc = open()
    await doc.load()
    doc.autosave.write('name', 'Pit, north')
    await pause()
    await pause()
    expect(doc.view.value).toEqual(theirs)
    expect(call).toHaveBeenLastCalledWith('PUT', 'runs/1', {
      version: 7,
      fields: { name: 'Pit, north', bays: '20' },
    })
  })
})

describe('news', () => {
  const loaded = async () => {
    read.mockResolvedValue({ view: sheet({ name: 'Pit', bays: '8' }, 3) })
    call.mockResolvedValue({ version: 9, savedAt: '' })
    const doc = open()
    await doc.load()
    return doc
  }
  it('of another device: what was typed here stays, what only they changed appears', async () => {
    const doc = await loaded()
    doc.autosave.write('name', 'Mine')
    doc.reconcile(sheet({ name: 'Pit', bays: '20' }, 5))
    expect(doc.autosave.fields).toEqual({ name: 'Mine', bays: '20' })
  })
  it('that is older than what is here changes nothing', async () => {
    const doc = await loaded()
    doc.reconcile(sheet({ name: 'Older', bays: '1' }, 2))
    expect(doc.autosave.fields).toEqual({ name: 'Pit', bays: '8' })
  })
  it('after an act of one’s own is the view from then on', async () => {
    const doc = await loaded()
    const after = sheet({ name: 'Pit', bays: '8', signed: 'yes' }, 4)
    doc.adopt(after)
    expect(doc.view.value).toEqual(after)
    expect(doc.autosave.fields.signed).toBe('yes')
  })
})
